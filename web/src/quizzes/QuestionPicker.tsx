import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { ProfiledTaxon, ReadingOptions } from '@hurrow/core/evidence';
import { QUESTION_TITLES, questionsAbout, type Question, type QuestionKind } from '@hurrow/core/station';
import { commonName } from '@hurrow/core/taxon';
import { useMemo } from 'react';
import { useVocabulary } from '../app/data.ts';
import { begun, differs, kindsHere, OFF_BY, withinOf, type AskableHere } from './asking.ts';
import type { Planned } from './planned.ts';
import { termOf } from './termOf.ts';
import styles from './quizzes.module.css';
import { inTongue } from '../language/inTongue.ts';

/** What a station asks: the name of its tree, or something else in its place, which is marked. */
export function QuestionPicker({
  station,
  profiled,
  list,
  options,
  fixed,
  onChange,
}: {
  /** Its view with the day of the quiz. */
  station: Planned;
  profiled: ProfiledTaxon;
  list: readonly ProfiledTaxon[];
  /** Where the calendars were recorded and where the course is. */
  options: ReadingOptions;
  fixed: boolean;
  onChange(question: Question | null): void;
}) {
  const vocabulary = useVocabulary();
  const question = station.question ?? null;
  const here = useAskable(station, profiled, list, options);
  const kinds = [...new Set([...kindsHere(here), ...(question ? [question.kind] : [])])];
  const nameOf = (id: string) => commonName(list.find(({ taxon }) => taxon.id === id)!.taxon);
  return (
    <div className={styles['question']}>
      <label>
        <Trans>Ask for</Trans>{' '}
        <Pick
          label={t`Ask for`}
          value={question?.kind ?? ''}
          fixed={fixed}
          offered={[
            ['', t`its name`],
            ...kinds.map((kind) => [kind, inTongue(QUESTION_TITLES[kind])] as const),
          ]}
          onPick={(kind) => onChange(begun(kind as QuestionKind | '', here))}
        />
      </label>{' '}
      {question?.kind === 'settles' && (
        <Pick
          label={t`The other tree`}
          value={question.from}
          fixed={fixed}
          offered={here.others.map((id) => [id, nameOf(id)])}
          onPick={(from) => onChange({ kind: 'settles', from })}
        />
      )}
      {(question?.kind === 'state' || question?.kind === 'number' || question?.kind === 'sort') && (
        <Pick
          label={t`Which character`}
          value={question.characterId}
          fixed={fixed}
          offered={[...new Set([question.characterId, ...here[question.kind]])].map((id) => [
            id,
            termOf(id, vocabulary),
          ])}
          onPick={(characterId) => onChange({ kind: question.kind, characterId })}
        />
      )}
      {question?.kind === 'number' && (
        <Pick
          label={t`May be off by`}
          value={String(withinOf(question, vocabulary))}
          fixed={fixed}
          offered={OFF_BY.map(([share, words]) => [String(share), words])}
          onPick={(share) => onChange({ ...question, within: Number(share) })}
        />
      )}
    </div>
  );
}

/** What can be asked about at a station, other trees with its relatives first. */
function useAskable(
  { view, medium }: Planned,
  profiled: ProfiledTaxon,
  list: readonly ProfiledTaxon[],
  { reference, site }: ReadingOptions,
): AskableHere {
  const vocabulary = useVocabulary();
  return useMemo(() => {
    const about = questionsAbout(profiled, view, vocabulary, {
      ...(reference ? { reference } : {}),
      ...(site ? { site } : {}),
    });
    const { genus, family } = profiled.taxon;
    const kin = ({ taxon }: ProfiledTaxon) => (taxon.genus === genus ? 2 : taxon.family === family ? 1 : 0);
    const others = list.filter(({ taxon }) => taxon.id !== profiled.taxon.id);
    const sort = medium === 'drawing' ? about.state.filter((id) => differs(id, list)) : [];
    return { ...about, sort, others: others.sort((a, b) => kin(b) - kin(a)).map(({ taxon }) => taxon.id) };
  }, [profiled, view, medium, vocabulary, reference, site, list]);
}

function Pick({
  label,
  value,
  fixed,
  offered,
  onPick,
}: {
  label: string;
  value: string;
  fixed: boolean;
  /** Values with their words. */
  offered: readonly (readonly [string, string])[];
  onPick(value: string): void;
}) {
  return (
    <select
      className={styles['seeing-picker']}
      aria-label={label}
      value={value}
      disabled={fixed}
      onChange={(event) => onPick(event.target.value)}
    >
      {offered.map(([id, words]) => (
        <option key={id} value={id}>
          {words}
        </option>
      ))}
    </select>
  );
}
