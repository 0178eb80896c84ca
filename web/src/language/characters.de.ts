import { saidIn, wordIn, type Vocabulary } from '@hurrow/core/vocabulary';
import { GERMAN } from '@hurrow/core/vocabulary/german';

export const { saying } = GERMAN;

export const vocabulary = (written: Vocabulary): Vocabulary => saidIn(GERMAN, written);

export const word = (said: string, characterId: string, stateId?: string): string =>
  wordIn(GERMAN, said, characterId, stateId);
