import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { characterName } from '@hurrow/core/score';
import { commonName } from '@hurrow/core/taxon';
import { stateOf } from '@hurrow/core/vocabulary';
import { courseQuery, useLibrary } from '../app/data.ts';
import { writtenAs } from '../language/inWords.ts';

/** Names of taxa and characters as the course says them. */
export function useNames(courseId: string) {
  const { profileOf, vocabulary } = useLibrary();
  const audience = useQuery(courseQuery(courseId)).data?.audience ?? 'technical';
  // The same until the library has changed: long lists are drawn by it.
  return useMemo(
    () => ({
      vocabulary,
      taxon: (id: string) => {
        const found = profileOf(id);
        return found ? commonName(found.taxon) : id;
      },
      character: (id: string) => {
        const found = vocabulary.get(id);
        return found ? characterName(found, audience) : id;
      },
      state: (characterId: string, id: string) => {
        const character = vocabulary.get(characterId);
        const state = character && stateOf(character, id);
        return state ? (audience === 'plain' ? state.plain : state.term) : id;
      },
    }),
    [profileOf, vocabulary, audience],
  );
}

export type Names = ReturnType<typeof useNames>;

export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
export const percent = (share: number): string => `${Math.round(share * 100)} %`;
/** A 90 % interval of shares: "23–38 %". */
export const percentRange = ([low, high]: readonly [number, number]): string =>
  `${Math.round(low * 100)}–${Math.round(high * 100)} %`;
export const signed = (value: number): string => {
  const whole = Math.round(value);
  return whole < 0 ? `−${-whole}` : String(Math.abs(whole));
};
export const counted = (n: number, one: string, many = `${one}s`): string =>
  `${n.toLocaleString(writtenAs('en-US'))} ${n === 1 ? one : many}`;
