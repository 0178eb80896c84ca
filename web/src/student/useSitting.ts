import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { Sitting } from '@hurrow/contract/sitting';
import { call, isProblem } from '../app/api.ts';
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
    if (!held?.sitting) throw error;
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
  const [address, setAddress] = useState<{ of: string; url: string }>();
  useEffect(() => {
    if (!wanted) return;
    let made: string | undefined;
    let left = false;
    void (async () => {
      const held = await (await takenStore())?.picture(stationId).catch(() => undefined);
      if (left) return;
      if (held) made = URL.createObjectURL(held);
      setAddress({ of: stationId, url: made ?? `/api/sit/stations/${stationId}/drawing.svg` });
    })();
    return () => {
      left = true;
      if (made) URL.revokeObjectURL(made);
    };
  }, [stationId, wanted]);
  return address?.of === stationId ? address.url : undefined;
}
