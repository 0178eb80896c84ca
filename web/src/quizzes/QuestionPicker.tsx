import type { ProfiledTaxon, ReadingOptions } from '@hurrow/core/evidence';
import { QUESTION_TITLES, questionsAbout, type Question, type QuestionKind } from '@hurrow/core/station';
import { commonName } from '@hurrow/core/taxon';
import { useMemo } from 'react';
import { useVocabulary } from '../app/data.ts';
import { begun, kindsHere, OFF_BY, withinOf, type AskableHere } from './asking.ts';
import type { Planned } from './planned.ts';
import { termOf } from './termOf.ts';
import styles from './quizzes.module.css';

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
  const { view } = station;
  const question = station.question ?? null;
  const { reference, site } = options;
  const here = useMemo((): AskableHere => {
    const about = questionsAbout(profiled, view, vocabulary, {
      ...(reference ? { reference } : {}),
      ...(site ? { site } : {}),
    });
    const { genus, family } = profiled.taxon;
    const kin = ({ taxon }: ProfiledTaxon) => (taxon.genus === genus ? 2 : taxon.family === family ? 1 : 0);
    const others = list.filter(({ taxon }) => taxon.id !== profiled.taxon.id);
    return { ...about, others: others.sort((a, b) => kin(b) - kin(a)).map(({ taxon }) => taxon.id) };
  }, [profiled, view, vocabulary, reference, site, list]);
  const kinds = kindsHere(here);
  return (
    <div className={styles['question']}>
      <label>
        Ask for{' '}
        <select
          aria-label="Ask for"
          className={styles['seeing-picker']}
          value={question?.kind ?? ''}
          disabled={fixed}
          onChange={(event) => onChange(begun(event.target.value as QuestionKind | '', here))}
        >
          <option value="">its name</option>
          {[...new Set([...kinds, ...(question ? [question.kind] : [])])].map((kind) => (
            <option key={kind} value={kind}>
              {QUESTION_TITLES[kind]}
            </option>
          ))}
        </select>
      </label>{' '}
      {question?.kind === 'settles' && (
        <select
          className={styles['seeing-picker']}
          aria-label="The other tree"
          value={question.from}
          disabled={fixed}
          onChange={(event) => onChange({ kind: 'settles', from: event.target.value })}
        >
          {here.others.map((id) => (
            <option key={id} value={id}>
              {commonName(list.find(({ taxon }) => taxon.id === id)!.taxon)}
            </option>
          ))}
        </select>
      )}
      {(question?.kind === 'state' || question?.kind === 'number') && (
        <select
          className={styles['seeing-picker']}
          aria-label="Which character"
          value={question.characterId}
          disabled={fixed}
          onChange={(event) => onChange({ kind: question.kind, characterId: event.target.value })}
        >
          {[...new Set([question.characterId, ...here[question.kind]])].map((id) => (
            <option key={id} value={id}>
              {termOf(id, vocabulary)}
            </option>
          ))}
        </select>
      )}
      {question?.kind === 'number' && (
        <select
          className={styles['seeing-picker']}
          aria-label="May be off by"
          value={withinOf(question, vocabulary)}
          disabled={fixed}
          onChange={(event) => onChange({ ...question, within: Number(event.target.value) })}
        >
          {OFF_BY.map(([share, words]) => (
            <option key={share} value={share}>
              {words}
            </option>
          ))}
        </select>
      )}
    </div>
  );
}
