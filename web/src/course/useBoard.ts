import { t } from '@lingui/core/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import { App } from 'antd';
import { useCallback, useMemo, useState } from 'react';
import { characterName } from '@hurrow/core/score';
import { judgeTerm, type TermProposal, type TermWishes } from '@hurrow/core/term';
import { commonName } from '@hurrow/core/taxon';
import { call } from '../app/api.ts';
import { useLibrary } from '../app/data.ts';
import { STALE, useSaving } from '../app/useSaving.ts';
import { movedTo, planOf, reordered, setsOfPlan, shifted, titleFrom } from './board.ts';
import type { Draft } from './gathered.ts';
import { remarkInWords } from './remarks.ts';
import { settingsOf } from './settingsOf.ts';
import { useListDraft } from './useListDraft.ts';
import { useTerm } from './useTerm.ts';
import { useWishes } from './useWishes.ts';

/** The board of a term: its sets as they are changed, what is said of them, and all that can be done. */
export function useBoard(course: WholeCourse) {
  const { profileOf, vocabulary } = useLibrary();
  const draft = useListDraft(course);
  const { sets } = draft;
  const taxa = useMemo(() => sets.flatMap((set) => set.taxa), [sets]);
  const { prospects, problem: unread, working } = useTerm(course, taxa);
  const [chosen, setWishes] = useWishes(course);
  const wishes = useMemo(() => ({ ...chosen, closed: course.closedWeeks }), [chosen, course.closedWeeks]);
  const [proposed, setProposed] = useState<Asked['proposed']>();
  const name = useCallback(
    (id: string) => {
      const found = profileOf(id);
      return found ? commonName(found.taxon) : id;
    },
    [profileOf],
  );
  const titleOf = (ids: readonly string[]) => titleFrom(ids.map(name));
  const known = prospects && prospects.taxa.length === taxa.length ? prospects : undefined;
  const judged = useMemo(() => known && judgeTerm(known, wishes, planOf(sets)), [known, wishes, sets]);
  const remarks = useMemo(() => {
    const character = (id: string) => characterName(vocabulary.get(id)!, course.audience);
    return (judged?.remarks ?? []).map((remark) => remarkInWords(remark, { taxon: name, character }));
  }, [judged, vocabulary, course.audience, name]);
  const asked = { course, draft, chosen, wishes, setWishes, taxa, proposed, setProposed, titleOf };
  return {
    draft,
    sets,
    taxa,
    known,
    judged,
    wishes,
    proposed,
    unread,
    working,
    nameOf: name,
    setWishes,
    remarks,
    ...moves(asked),
    ...useSteps(asked),
  };
}

interface Asked {
  course: WholeCourse;
  draft: ReturnType<typeof useListDraft>;
  /** Wishes as they were said, and with the weeks that are closed. */
  chosen: Omit<TermWishes, 'closed'>;
  wishes: TermWishes;
  setWishes(wishes: Omit<TermWishes, 'closed'>): void;
  taxa: string[];
  proposed: { found: TermProposal; before: Draft[] } | undefined;
  setProposed(proposed: Asked['proposed']): void;
  titleOf(ids: readonly string[]): string;
}

/** What moves trees and weeks about, here alone. */
const moves = ({ course, draft: { sets, change }, chosen, setWishes, titleOf }: Asked) => ({
  take: (ids: string[]) => change(() => [{ title: t`The list`, week: null, taxa: ids }]),
  moveTo: (taxonId: string, week: number) =>
    change((held) => movedTo(held, taxonId, week, titleOf([taxonId]))),
  press: (taxonId: string, key: string) => {
    const shift = SHIFTS[key];
    const reorder = REORDERS[key];
    if (shift) change((held) => shifted(held, taxonId, shift, course.weeks, titleOf([taxonId])));
    if (reorder) change((held) => reordered(held, taxonId, reorder));
    if (key === 'Delete')
      change((held) => held.map((set) => ({ ...set, taxa: set.taxa.filter((id) => id !== taxonId) })));
    if (key === 'p') setWishes({ ...chosen, pins: flipped(chosen.pins, taxonId, planOf(sets)[taxonId]) });
  },
});

/** What asks the server: a proposal, a week without a lesson, the list as it is to stay. */
function useSteps({ course, draft, wishes, taxa, proposed, setProposed, titleOf }: Asked) {
  const { message } = App.useApp();
  const { save, saving, problem, say } = useSaving();
  const params = { courseId: course.id };
  const { sets } = draft;
  return {
    saving,
    problem,
    say,
    propose: () =>
      save(
        () =>
          call('POST /api/courses/{courseId}/term/proposal', {
            params,
            body: { taxa: [...taxa].sort(), wishes },
          }),
        {
          done: (found) => {
            setProposed({ found, before: sets });
            draft.set(setsOfPlan(found.plan, sets, taxa, titleOf));
          },
          stale: [],
        },
      ),
    undo: () => {
      if (proposed) draft.set(proposed.before);
      setProposed(undefined);
    },
    close: (week: number) => {
      const closed = course.closedWeeks;
      const closedWeeks = closed.includes(week) ? closed.filter((held) => held !== week) : [...closed, week];
      const body = { ...settingsOf(course), closedWeeks };
      void save(() => call('PUT /api/courses/{courseId}', { params, body }), {
        done: () => undefined,
        stale: [STALE.course(course.id)],
      });
    },
    saveList: () =>
      save(() => call('PUT /api/courses/{courseId}/list', { params, body: { sets } }), {
        done: () => {
          draft.saved();
          setProposed(undefined);
          void message.success(t`The list is saved. Each set has its lesson now.`);
        },
        stale: [STALE.course(course.id)],
      }),
  };
}

const SHIFTS: Record<string, number> = { '.': 1, ',': -1 };
const REORDERS: Record<string, 1 | -1> = { '>': 1, '<': -1 };

/** A species is pinned to the week it stands in, or no longer. */
function flipped(pins: TermWishes['pins'], taxonId: string, week: number | undefined): TermWishes['pins'] {
  const others = pins.filter((pin) => pin.taxonId !== taxonId);
  return others.length < pins.length || week === undefined ? others : [...others, { taxonId, week }];
}
