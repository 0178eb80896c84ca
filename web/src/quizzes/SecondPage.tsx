import { plural, t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import type { Marks, Quiz } from '@hurrow/contract/quizzes';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { POLICY_TITLES } from '@hurrow/core/names';
import { SECOND_VERDICTS, type SecondVerdict } from '@hurrow/core/marks';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { call, messageOf } from '../app/api.ts';
import { useKeys } from '../app/keys.ts';
import { Opening, Problem } from '../app/parts.tsx';
import { useSaving } from '../app/useSaving.ts';
import { writtenInFull } from './marking.ts';
import { marksQuery, secondKey, secondQuery } from './quizData.ts';
import { toJudge, treeOf, VERDICT_WORDS, type ToJudge } from './second.ts';
import styles from './marking.module.css';
import { inTongue } from '../language/inTongue.ts';

/** A second marker: one answer after another without its mark and without names, by the keyboard alone if one likes. */
export function SecondPage({ quiz, courseId }: { quiz: Quiz; courseId: string }) {
  const marks = useQuery({ ...marksQuery(quiz.id), enabled: quiz.state !== 'planned' });
  const words = useQuery(secondQuery(quiz.id));
  const error = marks.error ?? words.error;
  const back = (
    <Link to={`/c/${courseId}/quizzes/${quiz.id}/mark`}>
      <Trans>Back to the marks</Trans>
    </Link>
  );
  if (quiz.state === 'planned')
    return (
      <p>
        <Trans>Nothing to mark yet: the quiz has not been opened. {back}</Trans>
      </p>
    );
  if (error) return <Problem>{messageOf(error)}</Problem>;
  if (!marks.data || !words.data) return <Opening />;
  const own = new Map(
    words.data.words.filter((word) => word.own).map(({ answer, verdict }) => [answer, verdict]),
  );
  return (
    <section aria-label={t`Second marker`}>
      <h2>
        <Trans>Marking a second time</Trans>
      </h2>
      <p className="quiet">
        <Trans>
          Each answer once, however many wrote it, without the mark it has and without names. What you say
          changes no mark: where it differs, it is pointed out under the marks. {back}
        </Trans>
      </p>
      <Judging key={quiz.id} quiz={quiz} marks={marks.data} own={own} />
    </section>
  );
}

function Judging({
  quiz,
  marks,
  own,
}: {
  quiz: Quiz;
  marks: Marks;
  own: ReadonlyMap<string, SecondVerdict>;
}) {
  const all = toJudge(marks);
  const [at, setAt] = useState(() =>
    Math.max(
      0,
      all.findIndex(({ key }) => !own.has(key)),
    ),
  );
  const { save, saving, problem } = useSaving();
  const each = all[Math.min(at, all.length - 1)];
  const step = (by: number) => setAt((at + by + all.length) % all.length);
  const say = (verdict: SecondVerdict) =>
    each &&
    !saving &&
    void save(
      () =>
        call('PUT /api/quizzes/{quizId}/second', {
          params: { quizId: quiz.id },
          body: { answer: each.key, verdict },
        }),
      { stale: [secondKey(quiz.id)], done: () => setAt(Math.min(at + 1, all.length - 1)) },
    );
  useKeys({
    ...Object.fromEntries(SECOND_VERDICTS.map((verdict, i) => [String(i + 1), () => void say(verdict)])),
    j: () => step(1),
    k: () => step(-1),
  });
  if (!each)
    return (
      <p>
        <Trans>Every answer is letter by letter the name: there is nothing to judge.</Trans>
      </p>
    );
  const open = all.filter(({ key }) => !own.has(key)).length;
  return (
    <div className={styles['second']}>
      <Asked each={each} marks={marks} />
      <p className={styles['asked']}>
        “{writtenInFull(each.answer)}”{' '}
        <small className="quiet">
          <Trans>
            on <Plural value={each.papers} one="# paper" other="# papers" />
          </Trans>
        </small>
      </p>
      <p className={styles['verdicts']}>
        {SECOND_VERDICTS.map((verdict, i) => (
          <Button
            key={verdict}
            type={own.get(each.key) === verdict ? 'primary' : 'default'}
            aria-pressed={own.get(each.key) === verdict}
            onClick={() => void say(verdict)}
          >
            <kbd>{i + 1}</kbd> {VERDICT_WORDS[verdict]}
          </Button>
        ))}
      </p>
      {problem && <Problem>{problem}</Problem>}
      <p className="quiet" role="status">
        <Trans>
          {at + 1} of {all.length} · <kbd>j</kbd> next · <kbd>k</kbd> back ·{' '}
          {open === 0 ? t`all are judged` : t`${open} not judged yet`}
        </Trans>
      </p>
    </div>
  );
}

/** What was asked, and of which tree. */
function Asked({ each, marks }: { each: ToJudge; marks: Marks }) {
  const taxon = treeOf(each, marks);
  const asking = marks.stations.find(({ id }) => id === each.answer.stationId)?.asking;
  return (
    <p>
      {taxon && (
        <>
          {commonName(taxon)}, <span className="latin">{scientificName(taxon)}</span>, {taxon.family}.{' '}
        </>
      )}
      {asking
        ? asking.asked.term
        : marks.policy &&
          t`Asked for ${inTongue(POLICY_TITLES[marks.policy])}, ${plural(marks.outOf, { one: '# point', other: '# points' })}.`}
    </p>
  );
}
