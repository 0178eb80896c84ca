import type { Marks, Quiz } from '@hurrow/contract/quizzes';
import { scientificName } from '@hurrow/core/taxon';
import { counted } from '@hurrow/core/words';
import { call } from '../app/api.ts';
import { useMarking, useRuling } from './quizData.ts';
import { readingInWords } from './reading.ts';
import { SharedName } from './SharedName.tsx';
import { ruledOn, toRule, type AnswerGroup } from './marking.ts';
import styles from './quizzes.module.css';
import { LinkButton, Problem } from '../app/parts.tsx';

/** Equal answers that the rules could not read, ruled once for all papers; and what has been ruled, with the way back. */
export function Rulings({ marks, quiz }: { marks: Marks; quiz: Quiz }) {
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
  if (open.length + ruled.length === 0) return null;
  return (
    <section className={styles['to-rule']}>
      {(problem ?? ruling.problem) && <Problem>{problem ?? ruling.problem}</Problem>}
      <SharedName asking={ruling} />
      {open.length > 0 && (
        <>
          <h2>{counted(open.length, 'answer')} to rule on</h2>
          <p className="quiet">A ruling holds for every equal answer in this course, and is remembered.</p>
        </>
      )}
      {open.map((group) => (
        <p key={group.truth + group.text}>
          “{group.text}” for <Name id={group.truth} marks={marks} /> ({counted(group.answers.length, 'paper')}
          ){readingInWords(group.answers[0]!.mark.resolution, marks.list)} counts as{' '}
          <select
            aria-label={`“${group.text}” counts as`}
            value=""
            onChange={(event) => rule(group, event.target.value === 'nothing' ? null : event.target.value)}
          >
            <option value="">choose…</option>
            <option value="nothing">no tree of the list</option>
            {marks.list.map((taxon) => (
              <option key={taxon.id} value={taxon.id}>
                {scientificName(taxon)}
                {taxon.id === group.truth ? ' (right)' : ''}
              </option>
            ))}
          </select>
        </p>
      ))}
      {ruled.map((group) => (
        <p key={group.answers[0]!.ruling!.id} className="quiet">
          <Ruled group={group} marks={marks} />{' '}
          <LinkButton onClick={() => takeBack(group)}>Take the ruling back</LinkButton>
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
      “{group.text || 'blank'}” for <Name id={group.truth} marks={marks} />
      {ruling!.alone ? ` of ${who}` : ` (${counted(group.answers.length, 'paper')})`}{' '}
      {byHand ? (
        'has points by hand'
      ) : (
        <>
          counts as{' '}
          {mark.resolution.taxonId ? <Name id={mark.resolution.taxonId} marks={marks} /> : 'no tree'}
        </>
      )}
      , by ruling of {ruling!.by}
      {ruling!.reason ? `: ${ruling!.reason}.` : '.'}
    </>
  );
}
