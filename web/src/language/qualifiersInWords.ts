import { qualifiersInWords as saidQualifiers, type Qualifiers } from '@hurrow/core/score';
import { sayingSpoken } from './vocabulary.ts';

/** What a score holds for, in the language that is spoken: “young”, “sun, male”. */
export const qualifiersInWords = (qualifiers: Qualifiers): string =>
  saidQualifiers(qualifiers, sayingSpoken());
