import type { Marks } from '@hurrow/contract/quizzes';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { commonName } from '@hurrow/core/taxon';
import { counted } from '@hurrow/core/words';
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
  const way = <Link to={`${base}/second`}>Mark it a second time</Link>;
  if (found.both === 0) return <p>{way}, without seeing the marks: differences are pointed out here.</p>;
  return (
    <section className={styles['differs']} aria-label="Second marker">
      <h2>
        {found.differences.length === 0
          ? 'A second marker agrees'
          : `${counted(found.differences.length, 'answer')} a second marker gives other points`}
      </h2>
      <p className="quiet">
        {agreementInWords(found)} {found.waiting > 0 && `${found.waiting} are not judged yet. `}
        {way}
      </p>
      <ul>
        {found.differences.map((each) => {
          const { mark, responseId } = each.answer;
          const taxon = treeOf(each, marks);
          return (
            <li key={`${each.key} ${each.by}`}>
              “{writtenInFull(each.answer)}” for {taxon ? commonName(taxon) : 'a tree'}, on{' '}
              {counted(each.papers, 'paper')}: {pointsInWords(mark.points)} of {pointsInWords(mark.outOf)};{' '}
              {each.by} gives {VERDICT_WORDS[each.second]}.{' '}
              <LinkButton onClick={() => onOpen(responseId)}>Look at it</LinkButton>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
