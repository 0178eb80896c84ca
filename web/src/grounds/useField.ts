import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useSyncExternalStore } from 'react';
import { ApiError, call, isProblem, messageOf } from '../app/api.ts';
import { sessionQuery } from '../app/session.ts';
import { FieldBox, type FieldState, type Noted, type Sent } from './fieldBox.ts';

const AGAIN = 15_000;
const GIVE_UP = 20_000;
const boxes = new Map<string, FieldBox>();

/** The box of whoever is signed in; one for all pages of this tab. */
function boxOf(who: string): FieldBox {
  const key = `hurrow.field.${who}`;
  const held =
    boxes.get(who) ??
    new FieldBox(
      { read: () => localStorage.getItem(key), write: (text) => localStorage.setItem(key, text) },
      send,
    );
  boxes.set(who, held);
  return held;
}

async function send(noted: Noted): Promise<Sent> {
  try {
    await sendOne(noted);
    return { sent: 'done' };
  } catch (error) {
    if (
      error instanceof ApiError &&
      isProblem(error, 'invalid', 'missing', 'conflict', 'tooLarge', 'forbidden')
    )
      return { sent: 'refused', why: messageOf(error) };
    return isProblem(error, 'signedOut') ? { sent: 'signedOut' } : { sent: 'unreached' };
  }
}

function sendOne(noted: Noted): Promise<unknown> {
  switch (noted.what) {
    case 'observation':
      return call(
        'PUT /api/grounds/{groundsId}/observations/{observationId}',
        { params: { groundsId: noted.groundsId, observationId: noted.id }, body: noted.body },
        GIVE_UP,
      );
    case 'measurement':
      return call(
        'PUT /api/grounds/{groundsId}/measurements/{measurementId}',
        { params: { groundsId: noted.groundsId, measurementId: noted.id }, body: noted.body },
        GIVE_UP,
      );
    case 'item':
    case 'noItem': {
      const params = { courseId: noted.courseId, listId: noted.listId, itemId: noted.id };
      return noted.what === 'item'
        ? call(
            'PUT /api/courses/{courseId}/collecting/{listId}/items/{itemId}',
            { params, body: noted.body },
            GIVE_UP,
          )
        : call('DELETE /api/courses/{courseId}/collecting/{listId}/items/{itemId}', { params }, GIVE_UP);
    }
  }
}

/** What is noted outdoors on this phone: kept at once, sent when there is a signal. */
export function useField(): FieldState & { who: string; note(noted: Noted): void; drop(id: string): void } {
  const who = useQuery(sessionQuery).data?.who;
  const box = boxOf(who?.id ?? '');
  const queries = useQueryClient();
  const state = useSyncExternalStore(box.subscribe, box.snapshot);
  useEffect(() => {
    const again = () => void box.send();
    const another = () => box.reload();
    window.addEventListener('online', again);
    window.addEventListener('storage', another);
    const timer = setInterval(again, AGAIN);
    again();
    return () => {
      window.removeEventListener('online', again);
      window.removeEventListener('storage', another);
      clearInterval(timer);
    };
  }, [box]);
  // What has arrived is asked for anew; until the answer is there the page shows it from here.
  const { arrived } = state;
  useEffect(() => {
    if (arrived.length === 0) return;
    const asked = ['grounds', 'collecting'].map((key) => queries.invalidateQueries({ queryKey: [key] }));
    void Promise.all(asked).then(() => box.heard(arrived));
  }, [arrived, box, queries]);
  return {
    ...state,
    who: who?.name ?? '',
    note: (noted) => void box.note(noted),
    drop: (id) => box.drop(id),
  };
}
