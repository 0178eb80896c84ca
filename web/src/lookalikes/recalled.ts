import { plural, t } from '@lingui/core/macro';
import { conditionInWords } from '@hurrow/core/condition';
import { shownInWords, type ProfiledTaxon, type SinglesOut } from '@hurrow/core/evidence';
import { borneOut, type Remembered } from '@hurrow/core/recap';
import { characterName } from '@hurrow/core/score';
import { commonName } from '@hurrow/core/taxon';
import type { Ground } from './setting.ts';
import { listInWords } from '../language/inWords.ts';
import { writtenVocabulary } from '../language/vocabulary.ts';

/** What of a ground the words of a recap need. */
export type Said = Pick<Ground, 'profiles' | 'vocabulary' | 'course'> & {
  setting: Pick<Ground['setting'], 'view'>;
};

/** What is said of one tree in a recap. */
export interface Recalled {
  taxonId: string;
  /** The instructor's own aid, which stands first, and what of it the scores bear out. */
  aid?: { text: string; checked: string };
  marks: string[];
  /** What is to be added, `against` where the marks do not suffice. */
  remarks: { text: string; against: boolean }[];
  /** Taxa that the marks do not tell it from, by id. */
  open: string[];
}

/** More names than this are counted. */
const NAMED = 4;

/** The one thing to remember, with what shares it in the set and on the whole list. */
export function againstSet({ taxonId, marks, sharedInSet, sharedInList }: Remembered, said: Said): Recalled {
  const words = marks.map((mark) => conditionInWords(mark, said.vocabulary, ...wordsFor(said)));
  const remarks: Recalled['remarks'] = [];
  if (sharedInSet.length > 0)
    remarks.push({
      text: t`Of the set, not told from ${namesIn(sharedInSet, said)} in this view.`,
      against: true,
    });
  if (words.length > 0)
    remarks.push({
      text:
        sharedInList.length === 0
          ? t`No other tree on the list shows it.`
          : sharedInList.length <= NAMED
            ? t`On the whole list also ${namesIn(sharedInList, said)}.`
            : t`On the whole list also ${plural(sharedInList.length, { one: '# other tree', other: '# other trees' })}.`,
      against: false,
    });
  return { taxonId, ...aidOf(taxonId, said), marks: words, remarks, open: sharedInSet };
}

/** The fewest marks against the whole list, with what they leave open. */
export function againstAll(found: SinglesOut, said: Said): Recalled {
  const profiled = said.profiles.find(({ taxon }) => taxon.id === found.taxonId);
  const remarks: Recalled['remarks'] = [];
  if (found.notSettled.length > 0)
    remarks.push({ text: t`Not told from ${namesIn(found.notSettled, said)} in this view.`, against: true });
  if (!found.proved)
    remarks.push({ text: t`These suffice; whether fewer would is not proved.`, against: false });
  return {
    taxonId: found.taxonId,
    marks: found.characters.map((id) => markInWords(id, profiled, said)),
    remarks,
    open: found.notSettled,
  };
}

/** The rows of a printed recap: the aid before the marks. */
export const printedRows = (rows: readonly Recalled[]) =>
  rows.map(({ taxonId, aid, marks, open }) => ({
    taxonId,
    marks: [...(aid ? [aid.text.replace(/\.$/, '')] : []), ...marks],
    notSettled: open,
  }));

/** "needle bands: lower face only", as the taxon is scored in the view. */
function markInWords(id: string, profiled: ProfiledTaxon | undefined, said: Said): string {
  const character = said.vocabulary.get(id)!;
  const [audience, units] = wordsFor(said);
  const shown =
    profiled &&
    shownInWords(profiled, character, { ...said.setting, vocabulary: said.vocabulary, audience, units });
  return shown ? `${characterName(character, audience)}: ${shown}` : characterName(character, audience);
}

function aidOf(taxonId: string, said: Said): Pick<Recalled, 'aid'> {
  const profiled = said.profiles.find(({ taxon }) => taxon.id === taxonId);
  const text = profiled?.taxon.memoryAid;
  if (!text) return {};
  const [audience] = wordsFor(said);
  // An aid is written in the words of the library, or in those that the page speaks.
  const borne = [writtenVocabulary(said.vocabulary), said.vocabulary].flatMap((vocabulary) =>
    borneOut(text, profiled, vocabulary, said.setting.view),
  );
  const names = [...new Set(borne)].map((id) => characterName(said.vocabulary.get(id)!, audience));
  const checked = names.length
    ? t`The scores bear out ${listInWords(names)}.`
    : t`Nothing in it is scored: check it by eye.`;
  return { aid: { text, checked } };
}

const wordsFor = ({ course }: Said) => [course?.audience ?? 'technical', course?.units ?? 'metric'] as const;

const namesIn = (ids: readonly string[], { profiles }: Said) =>
  listInWords(
    ids.map((id) => {
      const found = profiles.find(({ taxon }) => taxon.id === id);
      return found ? commonName(found.taxon) : id;
    }),
  );
