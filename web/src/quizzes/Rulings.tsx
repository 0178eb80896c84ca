import { plural, t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import type { Marks, Quiz } from '@hurrow/contract/quizzes';
import { scientificName } from '@hurrow/core/taxon';
import { call } from '../app/api.ts';
import { useMarking, useRuling } from './quizData.ts';
import { Queue } from './Queue.tsx';
import { SharedName } from './SharedName.tsx';
import { needInWords, ruledOn, toRule, type AnswerGroup } from './marking.ts';
import styles from './quizzes.module.css';
import { LinkButton, Problem } from '../app/parts.tsx';

/** Equal answers that the rules could not read, ruled once for all papers; and what has been ruled, with the way back. */
export function Rulings({ marks, quiz, course }: { marks: Marks; quiz: Quiz; course: WholeCourse }) {
  const { mark, problem } = useMarking();
  const ruling = useRuling(quiz.id);
  const [open, ruled] = [toRule(marks), ruledOn(marks)];
  const rule = ({ truth, answers }: AnswerGroup, countsAs: string | null) =>
    void ruling.rule({ truth, answer: nameOnly(answers[0]!.written), countsAs });
  const takeBack = (group: AnswerGroup) =>
    void mark(() =>
      call('DELETE /api/quizzes/{quizId}/rulings/{rulingId}', {
        params: { quizId: quiz.id, rulingId: group.answers[0]!.ruling!.id },
      }),
    );
  // The newest ruling has the highest number.
  const last = ruled.reduce<AnswerGroup | undefined>(
    (newest, group) =>
      !newest || group.answers[0]!.ruling!.id > newest.answers[0]!.ruling!.id ? group : newest,
    undefined,
  );
  if (open.length + ruled.length === 0) return null;
  return (
    <section className={styles['to-rule']}>
      {(problem ?? ruling.problem) && <Problem>{problem ?? ruling.problem}</Problem>}
      <SharedName asking={ruling} />
      {open.length > 0 && (
        <>
          <h2>
            <Trans>
              <Plural value={open.length} one="# answer" other="# answers" /> to rule on
            </Trans>
          </h2>
          <p className="quiet">
            <Trans>
              {needInWords({
                answers: marks.answers.filter(({ text }) => text).length,
                waiting: open.reduce((sum, { answers }) => sum + answers.length, 0),
                groups: open.length,
              })}{' '}
              A ruling holds for every equal answer in this course, and is remembered.
            </Trans>
          </p>
        </>
      )}
      {open.length > 0 && (
        <Queue
          groups={open}
          marks={marks}
          quiz={quiz}
          course={course}
          onRule={rule}
          onUndo={last && (() => takeBack(last))}
        />
      )}
      {ruled.map((group) => (
        <p key={group.answers[0]!.ruling!.id} className="quiet">
          <Ruled group={group} marks={marks} />{' '}
          <LinkButton onClick={() => takeBack(group)}>
            <Trans>Take the ruling back</Trans>
          </LinkButton>
        </p>
      ))}
    </section>
  );
}

/** What a ruling on a name goes by: the family has its own part. */
const nameOnly = ({ name, genus, epithet }: AnswerGroup['answers'][number]['written']) => ({
  ...(name === undefined ? {} : { name }),
  ...(genus === undefined ? {} : { genus }),
  ...(epithet === undefined ? {} : { epithet }),
});

function Name({ id, marks }: { id: string; marks: Marks }) {
  const taxon = marks.list.find((entry) => entry.id === id);
  return <span className="latin">{taxon ? scientificName(taxon) : id}</span>;
}

function Ruled({ group, marks }: { group: AnswerGroup; marks: Marks }) {
  const [first] = group.answers;
  const { ruling, mark } = first!;
  const byHand = mark.parts.some(({ remark }) => remark === 'given by hand');
  const who = marks.students.find(({ id }) => id === first!.studentId)?.name;
  return (
    <>
      <Trans>
        “{group.text || t`blank`}” for <Name id={group.truth} marks={marks} />
        {ruling!.alone
          ? t` of ${who ?? ''}`
          : ` (${plural(group.answers.length, { one: '# paper', other: '# papers' })})`}{' '}
        {byHand ? (
          t`has points by hand`
        ) : (
          <>
            <Trans>counts as</Trans>{' '}
            {mark.resolution.taxonId ? <Name id={mark.resolution.taxonId} marks={marks} /> : t`no tree`}
          </>
        )}
        , by ruling of {ruling!.by}
        {ruling!.reason ? `: ${ruling!.reason}.` : '.'}
      </Trans>
    </>
  );
}
