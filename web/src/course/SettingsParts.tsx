import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { Course, OpenToStudents } from '@hurrow/contract/courses';
import { CLASS_LANGUAGES, languagesOf } from '@hurrow/core/taxon';
import { useLibraryAsWritten } from '../app/data.ts';
import type { WrittenPlace } from '../app/writtenPlace.ts';
import { languageName } from '../species/namesIn.ts';
import { NumberField } from './NumberField.tsx';
import styles from './settings.module.css';

/** The settings as they are typed: the place may not be readable yet. */
export interface Draft extends Omit<Course, 'id' | 'code' | 'latitude' | 'longitude' | 'elevation'> {
  place: WrittenPlace;
}

interface PartProps {
  draft: Draft;
  set<K extends keyof Draft>(key: K, value: Draft[K]): void;
}

/** When the course runs, and what it is called. */
export function Term({ draft, set }: PartProps) {
  return (
    <section>
      <h2>
        <Trans>Term</Trans>
      </h2>
      <label className={styles['name']}>
        <span>
          <Trans>Name of the course</Trans>
        </span>
        <input value={draft.name} onChange={(event) => set('name', event.target.value)} />
      </label>
      <p>
        <Trans>It begins on</Trans>{' '}
        <input
          type="date"
          aria-label={t`First day`}
          value={draft.startsOn}
          onChange={(event) => set('startsOn', event.target.value)}
        />{' '}
        <Trans>
          and lasts{' '}
          <NumberField label={t`Weeks`} value={draft.weeks} onChange={(weeks) => set('weeks', weeks)} />{' '}
          weeks.
        </Trans>
      </p>
    </section>
  );
}

/** In what words, units and order it is spoken of trees. */
export function Words({ draft, set }: PartProps) {
  return (
    <section>
      <h2>
        <Trans>Words</Trans>
      </h2>
      <p>
        <Trans>Students read</Trans>{' '}
        <select
          aria-label={t`Words`}
          value={draft.audience}
          onChange={(event) => set('audience', event.target.value as Draft['audience'])}
        >
          <option value="technical">
            <Trans>technical terms</Trans>
          </option>
          <option value="plain">
            <Trans>plain words</Trans>
          </option>
        </select>{' '}
        <Trans>and sizes in</Trans>{' '}
        <select
          aria-label={t`Units`}
          value={draft.units}
          onChange={(event) => set('units', event.target.value as Draft['units'])}
        >
          <option value="metric">
            <Trans>meters and centimeters</Trans>
          </option>
          <option value="imperial">
            <Trans>feet and inches</Trans>
          </option>
        </select>
        .
      </p>
      <p>
        <Trans>A profile begins with</Trans>{' '}
        <select
          aria-label={t`Profiles begin with`}
          value={draft.startsWith}
          onChange={(event) => set('startsWith', event.target.value as Draft['startsWith'])}
        >
          <option value="leaf">
            <Trans>size and form, then leaves</Trans>
          </option>
          <option value="site">
            <Trans>the site, then form and bark</Trans>
          </option>
          <option value="twig">
            <Trans>twigs, buds and bark, as in winter</Trans>
          </option>
        </select>
        .
      </p>
      <NamesIn namesIn={draft.namesIn} onChange={(namesIn) => set('namesIn', namesIn)} />
    </section>
  );
}

/** The language of the class: of common names as far as the library has them, and of lessons as far as these can be said in it. */
function NamesIn({ namesIn, onChange }: { namesIn: string | null; onChange(namesIn: string | null): void }) {
  const { library } = useLibraryAsWritten();
  const inLibrary = library ? languagesOf(library.taxa) : [];
  const tags = [...new Set([...inLibrary, ...CLASS_LANGUAGES, ...(namesIn ? [namesIn] : [])])];
  return (
    <p>
      <Trans>Common names are</Trans>{' '}
      <select
        aria-label={t`Common names are in`}
        value={namesIn ?? ''}
        onChange={({ target }) => onChange(target.value || null)}
      >
        <option value="">{t`those of the library`}</option>
        {tags.map((tag) => (
          <option key={tag} value={tag}>
            {t`those in ${languageName(tag)}`}
          </option>
        ))}
      </select>
      ; <Trans>those of the library are right answers still.</Trans>
      {namesIn !== null && CLASS_LANGUAGES.includes(namesIn) && (
        <>
          {' '}
          <Trans>
            Lessons on trees, their slides and handouts, and the glossary are in {languageName(namesIn)} too.
          </Trans>
        </>
      )}
    </p>
  );
}

const OPENS: [OpenToStudents, string][] = [
  ['profiles', t`the profiles of the list`],
  ['contrasts', t`contrasts of two or more`],
  ['keys', t`keys to walk through`],
  ['recap', t`the recap of each set`],
  ['lessons', t`the lesson of each set, from its week on`],
  ['notebook', t`a notebook of what they see at trees`],
  ['practice', t`practice on the phone, of the sets taught so far`],
];

/** What students may open by themselves. */
export function Opens({ draft, set }: PartProps) {
  return (
    <section>
      <h2>
        <Trans>Students may open</Trans>
      </h2>
      {OPENS.map(([part, words]) => (
        <label key={part} className={styles['tick']}>
          <input
            type="checkbox"
            checked={draft.opens.includes(part)}
            onChange={() =>
              set(
                'opens',
                draft.opens.includes(part)
                  ? draft.opens.filter((held) => held !== part)
                  : [...draft.opens, part],
              )
            }
          />{' '}
          {words}
        </label>
      ))}
      {draft.opens.includes('practice') && (
        <label className={styles['tick']}>
          <input
            type="checkbox"
            checked={draft.seesSlips}
            onChange={() => set('seesSlips', !draft.seesSlips)}
          />{' '}
          <Trans>
            those who teach see single slips of practice, and not only how much is practiced and known
          </Trans>
        </label>
      )}
      {draft.opens.includes('practice') && (
        <label className={styles['tick']}>
          <input
            type="checkbox"
            checked={draft.asksInPractice}
            onChange={() => set('asksInPractice', !draft.asksInPractice)}
          />{' '}
          <Trans>practice asks at every third name what they went by; it counts with what quizzes ask</Trans>
        </label>
      )}
      <p className="quiet">
        <Trans>
          While a quiz is open, contrasts and keys are closed to them; profiles and recap help no more than a
          book.
        </Trans>
      </p>
    </section>
  );
}
