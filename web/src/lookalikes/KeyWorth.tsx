import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { couplets, type Appraisal, type Key } from '@hurrow/core/key';
import styles from './contrast.module.css';
import { weakestOf } from './keyed.ts';
import keysStyles from './keys.module.css';
import { decimal, listInWords } from '../language/inWords.ts';

/** What a key is worth, in sentences; beside it what it was worth before a change by hand. */
export function KeyWorth({
  made,
  before,
  name,
}: {
  made: { key: Key; appraisal: Appraisal };
  before: Appraisal | undefined;
  name(id: string): string;
}) {
  const { appraisal } = made;
  const weakest = weakestOf(made);
  const all = couplets(made.key).map(({ path }) => path.join());
  const numberOf = (path: readonly number[]) => all.indexOf(path.join()) + 1;
  const percent = (share: number) => `${Math.round(100 * share)}\u00a0%`;
  const questions = (a: Appraisal) => decimal(a.meanQuestions, 1);
  return (
    <div className={keysStyles['worth']}>
      <p>
        <Trans>
          <strong>{questions(appraisal)} questions</strong> on average to a name, of {appraisal.taxa} taxa; no
          key of two leads can do with fewer than {decimal(appraisal.bound, 1)}. Of beginners, who misread at
          their usual rates, <strong>{percent(appraisal.right)}</strong> reach the right name (±{' '}
          {percent(2 * appraisal.rightError)}).
          {weakest &&
            t` Most are lost at couplet ${weakest.couplet}: ${decimal(100 * weakest.lost, 1)}\u00a0% of all.`}
        </Trans>
        {before && (
          <span
            className={appraisal.right < before.right - 2 * before.rightError ? 'rust' : styles['settled']}
          >
            {' '}
            <Trans>
              Before the change: {questions(before)} questions, {percent(before.right)} right.
            </Trans>
          </span>
        )}
      </p>
      {appraisal.together.length > 0 && (
        <p className="gold">
          <Trans>
            Not told apart:{' '}
            {appraisal.together
              .slice(0, 3)
              .map((ids) => listInWords(ids.map(name)))
              .join('; ')}
            {appraisal.together.length > 3 && t`; and ${appraisal.together.length - 3} groups more`}.
          </Trans>
        </p>
      )}
      {appraisal.falseStatements.length > 0 && (
        <p className="rust">
          <Trans>
            Not true of every tree below it:{' '}
            {listInWords([
              ...new Set(
                appraisal.falseStatements.map(
                  ({ path, taxon }) => t`couplet ${numberOf(path)} for ${name(taxon)}`,
                ),
              ),
            ])}
            .
          </Trans>
        </p>
      )}
      {appraisal.unreachable.length > 0 && (
        <p className="rust">
          <Trans>Seldom reached though nobody errs: {listInWords(appraisal.unreachable.map(name))}.</Trans>
        </p>
      )}
    </div>
  );
}
