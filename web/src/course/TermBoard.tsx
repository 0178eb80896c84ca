import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import { Button } from 'antd';
import { DndContext, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { TermProposal } from '@hurrow/core/term';
import { messageOf } from '../app/api.ts';
import { FROM_FIVE_PIXELS, heardOfDragging } from '../app/dragged.ts';
import { useLibrary } from '../app/data.ts';
import { LinkButton, Notice, Opening, Problem } from '../app/parts.tsx';
import { useMayChange } from '../app/mayChange.ts';
import { BroughtBack } from '../drafts/BroughtBack.tsx';
import { BoardColumns } from './BoardColumns.tsx';
import { FirstSpecies } from './FirstSpecies.tsx';
import { boundInWords, measureInWords, type RemarkSaid } from './remarks.ts';
import { TermSentence } from './TermSentence.tsx';
import { useBoard } from './useBoard.ts';
import styles from './board.module.css';

/** The list laid on the weeks of the term: proposed, moved by drag or by keys, looked over at once. */
export default function TermBoard({ course }: { course: WholeCourse }) {
  const { library } = useLibrary();
  if (!library)
    return (
      <Opening>
        <Trans>Opening the list…</Trans>
      </Opening>
    );
  return <Board key={course.id} course={course} />;
}

function Board({ course }: { course: WholeCourse }) {
  const mayChange = useMayChange();
  const board = useBoard(course);
  const { draft, wishes, known, judged } = board;
  const [lookedAt, lookAt] = useState<string>();
  const press = useRef(board.press);
  useEffect(() => {
    press.current = board.press;
  });
  // One and the same for all renders: the board is drawn anew only when something on it changes.
  const onKey = useCallback(
    (taxonId: string, key: string) => {
      if (mayChange) press.current(taxonId, key);
    },
    [mayChange],
  );
  const sensors = useSensors(useSensor(PointerSensor, FROM_FIVE_PIXELS));
  if (board.taxa.length === 0) return <FirstSpecies course={course} onTake={board.take} />;
  return (
    <>
      <TermSentence
        weeks={course.weeks}
        wishes={wishes}
        closed={course.closedWeeks}
        species={board.taxa.length}
        onChange={board.setWishes}
        onClose={board.close}
      >
        {mayChange && (
          <Button onClick={() => void board.propose()} loading={board.saving}>
            <Trans>Propose sets</Trans>
          </Button>
        )}
      </TermSentence>
      {board.proposed && <Proposed found={board.proposed.found} onUndo={board.undo} />}
      <BroughtBack at={draft.broughtBack} onGiveUp={draft.giveUp} />
      {board.unread && <Problem>{messageOf(board.unread)}</Problem>}
      <DndContext
        sensors={sensors}
        accessibility={heardOfDragging(
          t`Comma and full stop move it a week back or on, p pins it there, Delete takes it off the list.`,
          (id) => board.nameOf(String(id)),
          (id) => t`week ${id}`,
        )}
        onDragEnd={({ active, over }) => {
          if (over && mayChange) board.moveTo(String(active.id), Number(over.id));
        }}
        onDragStart={({ active }) => lookAt(String(active.id))}
      >
        <BoardColumns
          course={course}
          sets={board.sets}
          prospects={known}
          pins={wishes.pins}
          lookedAt={lookedAt}
          onLookAt={lookAt}
          onKey={onKey}
        />
      </DndContext>
      <p className={styles['keys']}>
        <Trans>
          Drag a tree to a week, or choose it and press <kbd>,</kbd> <kbd>.</kbd> for a week back or on,{' '}
          <kbd>p</kbd> to pin it there, <kbd>Delete</kbd> to take it off the list. Rust bows join trees that
          beginners take for one another.
        </Trans>
      </p>
      {board.problem && <Problem>{board.problem}</Problem>}
      {mayChange && <Saving course={course} board={board} />}
      <section className={styles['remarks']} aria-label={t`Looked over`} aria-busy={board.working}>
        <h2>{judged && known ? measureInWords(known, wishes, judged.remarks) : t`Looking over the list…`}</h2>
        <Remarks remarks={board.remarks} onLookAt={lookAt} />
      </section>
    </>
  );
}

/** What a proposal is worth, and the way back. */
function Proposed({ found, onUndo }: { found: TermProposal; onUndo(): void }) {
  return (
    <Notice>
      {boundInWords(found.measure.total, found.bound)}{' '}
      {found.broken.length > 0 &&
        t`${plural(found.broken.length, { one: '# wish', other: '# wishes' })} could not be had: see below. Larger sets, more weeks or fewer pins would do. `}
      <LinkButton onClick={onUndo}>
        <Trans>Undo the proposal</Trans>
      </LinkButton>
    </Notice>
  );
}

function Saving({ course, board }: { course: WholeCourse; board: ReturnType<typeof useBoard> }) {
  const { draft, saving, say, saveList } = board;
  return (
    <div className={styles['saving']}>
      <Button type="primary" loading={saving} disabled={!draft.changed} onClick={() => void saveList()}>
        <Trans>Save the list</Trans>
      </Button>
      <a
        href={`/api/courses/${course.id}/term.ics`}
        onClick={() =>
          draft.changed && say(t`The calendar holds what is saved; what you changed since is not in it.`)
        }
      >
        <Trans>Sets and quizzes as a calendar file</Trans>
      </a>
    </div>
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
        <LinkButton onClick={() => setAll(!all)}>
          {all ? t`Fewer` : t`All ${sorted.length} remarks`}
        </LinkButton>
      )}
    </>
  );
}
