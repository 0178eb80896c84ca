import { plural, t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import type { Marks } from '@hurrow/contract/quizzes';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { commonName } from '@hurrow/core/taxon';
import { LinkButton } from '../app/parts.tsx';
import { pointsInWords, writtenInFull } from './marking.ts';
import { secondQuery } from './quizData.ts';
import { agreementInWords, compared, treeOf, VERDICT_WORDS } from './second.ts';
import styles from './marking.module.css';

interface SecondsProps {
  marks: Marks;
  base: string;
  /** Opens an answer, to be ruled on. */
  onOpen(responseId: string): void;
}

/** Where a second marker gives other points, to be looked at once more; and the way to be one. */
export function Seconds({ marks, base, onOpen }: SecondsProps) {
  const words = useQuery(secondQuery(marks.quiz.id)).data?.words ?? [];
  const found = compared(marks, words);
  const way = (
    <Link to={`${base}/second`}>
      <Trans>Mark it a second time</Trans>
    </Link>
  );
  if (found.both === 0)
    return (
      <p>
        <Trans>{way}, without seeing the marks: differences are pointed out here.</Trans>
      </p>
    );
  return (
    <section className={styles['differs']} aria-label={t`Second marker`}>
      <h2>
        {found.differences.length === 0
          ? t`A second marker agrees`
          : t`${plural(found.differences.length, { one: '# answer', other: '# answers' })} a second marker gives other points`}
      </h2>
      <p className="quiet">
        {agreementInWords(found)} {found.waiting > 0 && t`${found.waiting} are not judged yet. `}
        {way}
      </p>
      <ul>
        {found.differences.map((each) => {
          const { mark, responseId } = each.answer;
          const taxon = treeOf(each, marks);
          return (
            <li key={`${each.key} ${each.by}`}>
              <Trans>
                “{writtenInFull(each.answer)}” for {taxon ? commonName(taxon) : t`a tree`}, on{' '}
                <Plural value={each.papers} one="# paper" other="# papers" />: {pointsInWords(mark.points)} of{' '}
                {pointsInWords(mark.outOf)}; {each.by} gives {VERDICT_WORDS[each.second]}.
              </Trans>{' '}
              <LinkButton onClick={() => onOpen(responseId)}>
                <Trans>Look at it</Trans>
              </LinkButton>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
