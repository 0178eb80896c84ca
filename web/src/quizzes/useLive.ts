import { useEffect, useState } from 'react';
import { NOTHING, told, type Live } from './live.ts';

/** Hears who has answered, as the answers come. The browser takes a lost connection up again by itself. */
export function useLive(quizId: string, wanted: boolean): Live {
  const [live, setLive] = useState(NOTHING);
  useEffect(() => {
    setLive(NOTHING);
    if (!wanted) return;
    const source = new EventSource(`/api/quizzes/${quizId}/live`);
    source.onmessage = ({ data }: MessageEvent<string>) => setLive((before) => told(before, data));
    source.onerror = () => setLive((before) => ({ ...before, connected: false }));
    source.onopen = () => setLive((before) => ({ ...before, connected: true }));
    return () => source.close();
  }, [quizId, wanted]);
  return live;
}
