import type { WholeCourse } from '@hurrow/contract/courses';
import { App, Button } from 'antd';
import { DndContext, PointerSensor, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core';
import { useMemo, useState } from 'react';
import { judgeTerm, USUAL_WISHES, type TermProposal, type TermWishes } from '@hurrow/core/term';
import { characterName } from '@hurrow/core/score';
import { commonName } from '@hurrow/core/taxon';
import { counted } from '@hurrow/core/words';
import { call, messageOf } from '../app/api.ts';
import { useLibrary } from '../app/data.ts';
import { LinkButton, Notice, Opening, Problem } from '../app/parts.tsx';
import { STALE, useSaving } from '../app/useSaving.ts';
import { useMayChange } from '../app/session.ts';
import { BroughtBack } from '../drafts/BroughtBack.tsx';
import { BoardColumns } from './BoardColumns.tsx';
import { movedTo, planOf, reordered, setsOfPlan, shifted, titleFrom } from './board.ts';
import { FirstSpecies } from './FirstSpecies.tsx';
import type { Draft } from './gathered.ts';
import { useListDraft } from './useListDraft.ts';
import { boundInWords, measureInWords, remarkInWords, type RemarkSaid } from './remarks.ts';
import { TermSentence } from './TermSentence.tsx';
import { useTerm } from './useTerm.ts';
import styles from './board.module.css';

type Wishes = Omit<TermWishes, 'closed'>;

/** The list laid on the weeks of the term: proposed, moved by drag or by keys, looked over at once. */
export default function TermBoard({ course }: { course: WholeCourse }) {
  const { library } = useLibrary();
  if (!library) return <Opening>Opening the list…</Opening>;
  return <Board key={course.id} course={course} />;
}

function Board({ course }: { course: WholeCourse }) {
  const { profileOf, vocabulary } = useLibrary();
  const { message } = App.useApp();
  const mayChange = useMayChange();
  const draft = useListDraft(course);
  const { sets, change } = draft;
  const taxa = useMemo(() => sets.flatMap((set) => set.taxa), [sets]);
  const { prospects, problem: unread, working, mixedUp } = useTerm(course, taxa);
  const [chosen, setWishes] = useState<Wishes>({ ...USUAL_WISHES, to: course.weeks });
  const wishes = useMemo(() => ({ ...chosen, closed: course.closedWeeks }), [chosen, course.closedWeeks]);
  const [proposed, setProposed] = useState<{ found: TermProposal; before: Draft[] }>();
  const [lookedAt, lookAt] = useState<string>();
  const { save, saving, problem, say } = useSaving();
  const name = (id: string) => {
    const found = profileOf(id);
    return found ? commonName(found.taxon) : id;
  };
  const titleOf = (ids: readonly string[]) => titleFrom(ids.map(name));
  const known = prospects && prospects.taxa.length === taxa.length ? prospects : undefined;
  const judged = useMemo(() => known && judgeTerm(known, wishes, planOf(sets)), [known, wishes, sets]);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 5 } }));
  const drop = ({ active, over }: DragEndEvent) => {
    const taxonId = String(active.id);
    if (over && mayChange) change((held) => movedTo(held, taxonId, Number(over.id), titleOf([taxonId])));
  };
  const propose = () =>
    save(
      () =>
        call('POST /api/courses/{courseId}/term/proposal', {
          params: { courseId: course.id },
          body: { taxa: [...taxa].sort(), mixedUp, wishes },
        }),
      {
        done: (found) => {
          setProposed({ found, before: sets });
          draft.set(setsOfPlan(found.plan, sets, taxa, titleOf));
        },
        stale: [],
      },
    );
  const close = (week: number) => {
    const { id, code: _code, sets: _sets, students: _students, quizzes: _quizzes, ...body } = course;
    const closed = course.closedWeeks;
    const closedWeeks = closed.includes(week) ? closed.filter((held) => held !== week) : [...closed, week];
    void save(
      () => call('PUT /api/courses/{courseId}', { params: { courseId: id }, body: { ...body, closedWeeks } }),
      { done: () => undefined, stale: [STALE.course(id)] },
    );
  };
  const saveList = () =>
    save(
      () => call('PUT /api/courses/{courseId}/list', { params: { courseId: course.id }, body: { sets } }),
      {
        done: () => {
          draft.saved();
          setProposed(undefined);
          void message.success('The list is saved. Each set has its lesson now.');
        },
        stale: [STALE.course(course.id)],
      },
    );
  const names = {
    taxon: name,
    character: (id: string) => characterName(vocabulary.get(id)!, course.audience),
  };
  const remarks = (judged?.remarks ?? []).map((remark) => remarkInWords(remark, names));
  if (taxa.length === 0)
    return (
      <FirstSpecies
        course={course}
        onTake={(ids) => change(() => [{ title: 'The list', week: null, taxa: ids }])}
      />
    );
  return (
    <>
      <TermSentence
        weeks={course.weeks}
        wishes={chosen}
        closed={course.closedWeeks}
        species={taxa.length}
        onChange={setWishes}
        onClose={close}
      >
        {mayChange && (
          <Button onClick={() => void propose()} loading={saving}>
            Propose sets
          </Button>
        )}
      </TermSentence>
      {proposed && (
        <Notice>
          {boundInWords(proposed.found.measure.total, proposed.found.bound)}{' '}
          {proposed.found.broken.length > 0 &&
            `${counted(proposed.found.broken.length, 'wish', 'wishes')} could not be had: see below. Larger sets, more weeks or fewer pins would do. `}
          <LinkButton
            onClick={() => {
              draft.set(proposed.before);
              setProposed(undefined);
            }}
          >
            Undo the proposal
          </LinkButton>
        </Notice>
      )}
      <BroughtBack at={draft.broughtBack} onGiveUp={draft.giveUp} />
      {unread && <Problem>{messageOf(unread)}</Problem>}
      <DndContext sensors={sensors} onDragEnd={drop} onDragStart={({ active }) => lookAt(String(active.id))}>
        <BoardColumns
          course={course}
          sets={sets}
          prospects={known}
          pins={chosen.pins}
          lookedAt={lookedAt}
          onLookAt={lookAt}
          onKey={(taxonId, key) => {
            if (!mayChange) return;
            if (key === '.' || key === ',')
              change((held) =>
                shifted(held, taxonId, key === '.' ? 1 : -1, course.weeks, titleOf([taxonId])),
              );
            if (key === '<' || key === '>') change((held) => reordered(held, taxonId, key === '>' ? 1 : -1));
            if (key === 'Delete')
              change((held) =>
                held.map((set) => ({ ...set, taxa: set.taxa.filter((id) => id !== taxonId) })),
              );
            if (key === 'p')
              setWishes((held) => ({ ...held, pins: flipped(held.pins, taxonId, planOf(sets)[taxonId]) }));
          }}
        />
      </DndContext>
      <p className={styles['keys']}>
        Drag a tree to a week, or choose it and press <kbd>,</kbd> <kbd>.</kbd> for a week back or on,{' '}
        <kbd>p</kbd> to pin it there, <kbd>Delete</kbd> to take it off the list. Rust bows join trees that
        beginners take for one another.
      </p>
      {problem && <Problem>{problem}</Problem>}
      {mayChange && (
        <div className={styles['saving']}>
          <Button type="primary" loading={saving} disabled={!draft.changed} onClick={() => void saveList()}>
            Save the list
          </Button>
          <a
            href={`/api/courses/${course.id}/term.ics`}
            onClick={() =>
              draft.changed && say('The calendar holds what is saved; what you changed since is not in it.')
            }
          >
            Sets and quizzes as a calendar file
          </a>
        </div>
      )}
      <section className={styles['remarks']} aria-label="Looked over" aria-busy={working}>
        <h2>{judged && known ? measureInWords(known, wishes, judged.remarks) : 'Looking over the list…'}</h2>
        <Remarks remarks={remarks} onLookAt={lookAt} />
      </section>
    </>
  );
}

/** So many remarks stand there before the others are asked for. */
const SHOWN = 8;

/** What there is to say against a plan, broken rules first. */
function Remarks({
  remarks,
  onLookAt,
}: {
  remarks: readonly RemarkSaid[];
  onLookAt(taxonId: string | undefined): void;
}) {
  const [all, setAll] = useState(false);
  const sorted = [...remarks].sort((x, y) => Number(y.broken) - Number(x.broken));
  return (
    <>
      <ul>
        {(all ? sorted : sorted.slice(0, SHOWN)).map(({ text, broken, taxa }) => (
          <li key={text} className={broken ? 'rust' : ''} onMouseEnter={() => onLookAt(taxa[0])}>
            {text}
          </li>
        ))}
      </ul>
      {sorted.length > SHOWN && (
        <LinkButton onClick={() => setAll(!all)}>{all ? 'Fewer' : `All ${sorted.length} remarks`}</LinkButton>
      )}
    </>
  );
}

/** A species is pinned to the week it stands in, or no longer. */
function flipped(pins: TermWishes['pins'], taxonId: string, week: number | undefined): TermWishes['pins'] {
  const others = pins.filter((pin) => pin.taxonId !== taxonId);
  return others.length < pins.length || week === undefined ? others : [...others, { taxonId, week }];
}
