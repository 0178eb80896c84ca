import { t } from '@lingui/core/macro';
import type { InstrumentNews } from '@hurrow/contract/instruments';
import { useEffect, useState } from 'react';
import type { Fix } from '@hurrow/core/nmea';

export type News = Partial<Record<InstrumentNews['instrument'], InstrumentNews>>;

/** What receiver and range-finder say, while the page is open. */
export function useInstruments(): News {
  const [news, setNews] = useState<News>({});
  useEffect(() => {
    const source = new EventSource('/api/instruments/live');
    source.onmessage = ({ data }: MessageEvent<string>) => {
      const said = JSON.parse(data) as InstrumentNews;
      setNews((before) => ({ ...before, [said.instrument]: said }));
    };
    return () => source.close();
  }, []);
  return news;
}

/** Where the phone is: by the receiver that Hurrow listens to, or by the phone's own where its bearer asks for that. */
export function useHere(receiver: InstrumentNews | undefined) {
  const [own, setOwn] = useState<Pick<Fix, 'latitude' | 'longitude' | 'error'>>();
  const [problem, setProblem] = useState('');
  const [asked, setAsked] = useState(false);
  useEffect(() => {
    if (!asked) return;
    if (!('geolocation' in navigator)) {
      setProblem(t`This phone does not say where it is.`);
      return;
    }
    const watch = navigator.geolocation.watchPosition(
      ({ coords }) =>
        setOwn({ latitude: coords.latitude, longitude: coords.longitude, error: coords.accuracy }),
      () =>
        setProblem(
          t`This phone does not say where it is. Allow it in the settings of the browser, or find the tree by its tag.`,
        ),
      { enableHighAccuracy: true },
    );
    return () => navigator.geolocation.clearWatch(watch);
  }, [asked]);
  const told = receiver?.line === 'speaking' ? receiver.fix : undefined;
  return { here: told ?? own, ask: () => setAsked(true), asked, problem: told ? '' : problem };
}
