import { useEffect, useState } from 'react';
import { NOTHING, told, type Live } from './live.ts';

/** Hears who has answered, as the answers come. */
export function useLive(quizId: string, wanted: boolean): Live {
  const [live, setLive] = useState(NOTHING);
  useEffect(() => {
    setLive(NOTHING);
    if (!wanted) return;
    const source = new EventSource(`/api/quizzes/${quizId}/live`);
    source.onmessage = ({ data }: MessageEvent<string>) => setLive((before) => told(before, data));
    // The browser tries again by itself, but not after a refusal, as when the session has ended.
    source.onerror = () => {
      const line = source.readyState === EventSource.CLOSED ? 'ended' : 'lost';
      setLive((before) => ({ ...before, line }));
    };
    source.onopen = () => setLive((before) => ({ ...before, line: 'open' }));
    return () => source.close();
  }, [quizId, wanted]);
  return live;
}
