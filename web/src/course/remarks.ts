import { plural, t } from '@lingui/core/macro';
import { isBroken, LEAST_SEEN, type Prospects, type TermRemark, type TermWishes } from '@hurrow/core/term';

export interface Names {
  taxon(id: string): string;
  character(id: string): string;
}

export interface RemarkSaid {
  text: string;
  /** A rule is broken, and not only something traded. */
  broken: boolean;
  /** Species that it is about, to look at them on the board. */
  taxa: string[];
}

/** A remark on a plan as a sentence. */
export function remarkInWords(remark: TermRemark, names: Names): RemarkSaid {
  const said = (text: string, ...taxa: string[]): RemarkSaid => ({
    text: text.charAt(0).toUpperCase() + text.slice(1),
    broken: isBroken(remark),
    taxa,
  });
  const the = (id: string) => names.taxon(id);
  switch (remark.kind) {
    case 'closed':
      return said(
        t`week ${remark.week} has no lesson, and ${plural(remark.taxa.length, { one: '# species', other: '# species' })} in it.`,
        ...remark.taxa,
      );
    case 'outside':
      return said(
        t`${the(remark.taxonId)} stands in week ${remark.week}, outside the weeks of the sets.`,
        remark.taxonId,
      );
    case 'few':
      return said(
        t`week ${remark.week} has only ${plural(remark.size, { one: '# species', other: '# species' })}.`,
      );
    case 'many':
      return said(
        t`week ${remark.week} has ${plural(remark.size, { one: '# species', other: '# species' })}: more than wanted.`,
      );
    case 'bare':
      return said(
        t`${the(remark.taxonId)} is taught when bare, in week ${remark.week}${unseen(remark.unseen, names)}.`,
        remark.taxonId,
      );
    case 'unseen':
      return said(
        t`of ${the(remark.taxonId)} too little is to be seen in week ${remark.week}${unseen(remark.unseen, names)}.`,
        remark.taxonId,
      );
    case 'apart':
      return said(
        t`${the(remark.a)} and ${the(remark.b)} fall into different weeks, ${Math.min(...remark.weeks)} and ${Math.max(...remark.weeks)}.`,
        remark.a,
        remark.b,
      );
    case 'together':
      return said(
        t`${the(remark.a)} and ${the(remark.b)} stand in one set, in week ${remark.week}.`,
        remark.a,
        remark.b,
      );
    case 'before':
      return said(
        t`${the(remark.rarer)} comes in week ${remark.weeks[0]}, before its commoner lookalike ${the(remark.commoner)} in week ${remark.weeks[1]}.`,
        remark.rarer,
        remark.commoner,
      );
    case 'unpinned':
      return said(
        t`${the(remark.taxonId)} is pinned to week ${remark.wanted} and stands in week ${remark.week}.`,
        remark.taxonId,
      );
    case 'nowhere':
      return said(t`${the(remark.taxonId)} stands in no week yet.`, remark.taxonId);
  }
}

const unseen = (characters: readonly string[], names: Names): string =>
  characters.length === 0
    ? ''
    : t`: not to be seen are ${listed(characters.map((id) => names.character(id)))}`;

const listed = (words: readonly string[]): string =>
  words.length < 2 ? words.join('') : t`${words.slice(0, -1).join(', ')} and ${words.at(-1)!}`;

/** A list that has no lookalikes, or no kind twice, has nothing to say of them. */
export function measureInWords(
  prospects: Prospects,
  wishes: Pick<TermWishes, 'lookalikes'>,
  remarks: readonly TermRemark[],
): string {
  const species = prospects.taxa.length;
  const poor = remarks.filter((remark) => 'share' in remark && remark.share < LEAST_SEEN).length;
  const wrong = remarks.filter(({ kind }) => kind === 'apart' || kind === 'together').length;
  const pairs = prospects.lookalikes.length;
  const parts = [
    poor === 0
      ? t`Each tree is taught while its marks can be seen`
      : t`${species - poor} of ${species} trees are taught while their marks can be seen`,
    ...(pairs === 0
      ? []
      : [
          t`${pairs - wrong} of ${plural(pairs, { one: '# pair', other: '# pairs' })} of lookalikes ${wishes.lookalikes === 'together' ? t`stand in one set` : t`stand in different weeks`}`,
        ]),
  ];
  return `${parts.join('; ')}.`;
}

/** How far from the best a proposal may be, as a sentence: what is not proved is said. */
export function boundInWords(total: number, bound: number): string {
  if (total - bound <= 0.002) return t`No plan does better by these wishes.`;
  return t`It may be bettered by up to ${Math.round(100 * (1 - bound / total))} %: the best of so many plans is not searched out.`;
}
