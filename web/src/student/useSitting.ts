import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { Sitting } from '@hurrow/contract/sitting';
import { call, isProblem, speaksFor } from '../app/api.ts';
import { pictureShelf } from './pictureShelf.ts';
import { aheadBy } from './serverClock.ts';
import { takeAlong, type Along } from './takenAlong.ts';
import { takenStore } from './takenStore.ts';

/** What a phone was told, now or before the signal went. */
export interface Told {
  sitting: Sitting;
  /** Milliseconds that the server's clock is ahead. */
  ahead: number;
  /** It is what the phone had along. */
  fromPhone: boolean;
}

async function ask(): Promise<Told> {
  const store = await takenStore();
  const asked = Date.now();
  try {
    const sitting = await call('GET /api/sit', {}, 15_000);
    const ahead = aheadBy(sitting.now, asked, Date.now());
    await store?.told(sitting, ahead).catch(() => undefined);
    return { sitting, ahead, fromPhone: false };
  } catch (error) {
    const held = isProblem(error, 'offline', 'signedOut') ? await store?.read() : undefined;
    // Another tab may have taken along what is somebody else's.
    if (!held?.sitting || held.session.who?.id !== speaksFor()) throw error;
    return { sitting: held.sitting, ahead: held.ahead, fromPhone: true };
  }
}

/** The student's quizzes: as the server tells them, or as this phone has them along. */
export const useSitting = () => useQuery({ queryKey: ['sit'], queryFn: ask, refetchInterval: 30_000 });

const fetchPicture = async (stationId: string): Promise<Blob> => {
  const response = await fetch(`/api/sit/stations/${stationId}/drawing.svg`);
  if (!response.ok) throw new Error(`The picture was answered with ${response.status}`);
  return response.blob();
};

/** Brings the pictures onto the phone, and says how far that is; nothing until it is known. */
export function useAlong({ sitting, fromPhone }: Told): Along | undefined {
  const [along, setAlong] = useState<Along>();
  useEffect(() => {
    let left = false;
    void (async () => {
      const store = await takenStore();
      if (!store || left) return;
      await takeAlong(store, sitting, fetchPicture, (now) => !left && setAlong(now)).catch(() => undefined);
    })();
    return () => {
      left = true;
    };
  }, [sitting, fromPhone]);
  return along;
}

/** Address of a station's picture: of what the phone has along, else the server's. Nothing until that is known. */
export function usePicture(stationId: string, wanted: boolean): string | undefined {
  const [found, setFound] = useState<{ of: string; url: string }>();
  const ready = pictureShelf.ready(stationId);
  useEffect(() => {
    if (!wanted || ready) return;
    let left = false;
    void pictureShelf.url(stationId).then((url) => !left && setFound({ of: stationId, url }));
    return () => {
      left = true;
    };
  }, [stationId, wanted, ready]);
  return ready ?? (found?.of === stationId ? found.url : undefined);
}

/** Has the picture that comes next ready before it is asked for. */
export function useNextPicture(stationId: string | undefined): void {
  useEffect(() => {
    if (stationId) void pictureShelf.decode(stationId);
  }, [stationId]);
}
