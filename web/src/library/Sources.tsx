import { plural, t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import type { LibraryAnswer } from '@hurrow/contract/library';
import { Button } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { gapsOf, type Gap } from '@hurrow/core/evidence';
import { disagreementsOf, SOURCE_DETAILS, type Disagreement, type Source } from '@hurrow/core/library';
import { characterName, valueInWords, type Reconciliation } from '@hurrow/core/score';
import { commonName } from '@hurrow/core/taxon';
import { MEDIUM_VIEWS } from '@hurrow/core/view';
import { call } from '../app/api.ts';
import type { Character } from '@hurrow/core/vocabulary';
import { courseQuery, useLibrary } from '../app/data.ts';
import { moved } from '../app/moved.ts';
import { useFieldDate } from '../app/fieldDate.tsx';
import { useDraft } from '../app/useDraft.ts';
import { BroughtBack } from '../drafts/BroughtBack.tsx';
import { useSaved } from './useSaved.tsx';
import styles from './library.module.css';
import { LinkButton, Problem } from '../app/parts.tsx';
import { useSaving } from '../app/useSaving.ts';
import { dayLabel } from '../language/inWords.ts';
import { qualifiersInWords } from '../language/qualifiersInWords.ts';

type WrittenSource = Omit<Source, 'id'> & { id?: string };

const DETAIL_TITLES: Record<(typeof SOURCE_DETAILS)[number], string> = {
  author: t`author`,
  year: t`year`,
  pages: t`pages`,
  region: t`region`,
  note: t`note`,
};

type Picks = NonNullable<Reconciliation['picks']>;

/** The sources and how they are reconciled, what they disagree on, and what the library lacks. */
export default function Sources({ courseId }: { courseId: string }) {
  const { library, profiles } = useLibrary();
  if (!library) return null;
  const found = disagreementsOf(profiles);
  return (
    <section className={styles['library-page']}>
      <SourceList library={library} />
      <h2>
        {found.length === 0
          ? t`No disagreements`
          : plural(found.length, { one: '# disagreement', other: '# disagreements' })}
      </h2>
      {found.length > 0 && <Disagreements courseId={courseId} library={library} found={found} />}
      <Gaps courseId={courseId} />
    </section>
  );
}

/** Saves sources, rule and picks together: they make one record. Gives the revision, or nothing when it was refused. */
function useSettings(library: LibraryAnswer) {
  const saved = useSaved();
  const { save: saving, problem } = useSaving();
  const save = async (change: {
    sources?: WrittenSource[];
    rule?: Reconciliation['rule'];
    picks?: Picks;
  }) => {
    const body = {
      sources: library.sources,
      rule: library.reconciliation.rule,
      picks: library.reconciliation.picks ?? {},
      baseRevision: library.revision,
      ...change,
    };
    const answer = await saving(() => call('PUT /api/library/sources', { body }), {
      done: ({ revision }) => saved(t`Saved how sources are reconciled.`, revision),
    });
    return answer?.revision;
  };
  return { save, problem };
}

interface Settings {
  sources: WrittenSource[];
  rule: Reconciliation['rule'];
}

function SourceList({ library }: { library: LibraryAnswer }) {
  const { save, problem } = useSettings(library);
  const { draft, setDraft, changed, settle, broughtBack, reset } = useDraft<Settings>(
    'sources',
    'Sources and rule',
    { sources: library.sources, rule: library.reconciliation.rule },
    library.revision,
  );
  const { sources, rule } = draft;
  const setSources = (next: Settings['sources']) => setDraft({ ...draft, sources: next });
  const change = (i: number, part: Partial<WrittenSource>) =>
    setSources(sources.map((entry, k) => (k === i ? { ...entry, ...part } : entry)));
  return (
    <>
      <h1>
        <Trans>Sources</Trans>
      </h1>
      <p className="quiet">
        <Trans>Who says what is in the profiles, the most trusted first.</Trans>
      </p>
      <BroughtBack at={broughtBack} onGiveUp={reset} />
      {sources.map((source, i) => (
        <SourceLine
          key={source.id ?? `new-${i}`}
          source={source}
          place={{ i, of: sources.length }}
          onChange={(part) => change(i, part)}
          onTrust={() => setSources(moved(sources, i, -1))}
          onRemove={() => setSources(sources.filter((_, k) => k !== i))}
        />
      ))}
      <p>
        <Button size="small" onClick={() => setSources([...sources, { label: '' }])}>
          <Trans>Add a source</Trans>
        </Button>
      </p>
      <p>
        <Trans>Where they differ, adopt</Trans>{' '}
        <select
          aria-label={t`Rule of reconciliation`}
          value={rule}
          onChange={(event) => setDraft({ ...draft, rule: event.target.value as typeof rule })}
        >
          <option value="preferred">
            <Trans>what the most trusted source says</Trans>
          </option>
          <option value="envelope">
            <Trans>everything that any source says</Trans>
          </option>
        </select>
        <Trans>. A character can be an exception, with a reason.</Trans>
      </p>
      {problem && <Problem>{problem}</Problem>}
      {changed && (
        <Button
          type="primary"
          onClick={() => void save(draft).then((revision) => revision !== undefined && settle(revision))}
        >
          <Trans>Save sources and rule</Trans>
        </Button>
      )}
      <Exceptions library={library} onRemove={(picks) => void save({ picks })} />
    </>
  );
}

interface SourceLineProps {
  source: WrittenSource;
  place: { i: number; of: number };
  onChange(part: Partial<WrittenSource>): void;
  /** Puts it before the one above it. */
  onTrust(): void;
  onRemove(): void;
}

function SourceLine({ source, place: { i, of }, onChange, onTrust, onRemove }: SourceLineProps) {
  return (
    <div className={styles['source-line']}>
      <span className="quiet">{i + 1}</span>
      <input
        aria-label={t`Name of source ${i + 1}`}
        placeholder={t`its title, as your students know it`}
        value={source.label}
        onChange={(event) => onChange({ label: event.target.value })}
      />
      {SOURCE_DETAILS.map((part) => (
        <input
          key={part}
          aria-label={t`${DETAIL_TITLES[part]} of source ${i + 1}`}
          placeholder={DETAIL_TITLES[part]}
          value={source[part] ?? ''}
          onChange={(event) => onChange({ [part]: event.target.value })}
        />
      ))}
      <Button size="small" disabled={i === 0} aria-label={t`Trust source ${i + 1} more`} onClick={onTrust}>
        ↑
      </Button>
      <Button size="small" disabled={of === 1} aria-label={t`Remove source ${i + 1}`} onClick={onRemove}>
        ×
      </Button>
    </div>
  );
}

function Exceptions({ library, onRemove }: { library: LibraryAnswer; onRemove(picks: Picks): void }) {
  const { vocabulary } = useLibrary();
  const picks = Object.entries(library.reconciliation.picks ?? {});
  if (picks.length === 0) return null;
  return (
    <ul>
      {picks.map(([id, pick]) => (
        <li key={id}>
          <Trans>
            {vocabulary.get(id)?.term ?? id}:{' '}
            {library.sources.find((entry) => entry.id === pick.sourceId)?.label}, because {pick.reason}.
          </Trans>{' '}
          <LinkButton onClick={() => onRemove(Object.fromEntries(picks.filter(([other]) => other !== id)))}>
            <Trans>Follow the rule again</Trans>
          </LinkButton>
        </li>
      ))}
    </ul>
  );
}

function Disagreements({
  courseId,
  library,
  found,
}: {
  courseId: string;
  library: LibraryAnswer;
  found: readonly Disagreement[];
}) {
  const { vocabulary } = useLibrary();
  const course = useQuery(courseQuery(courseId)).data;
  const { save, problem } = useSettings(library);
  const [open, setOpen] = useState<string>();
  const label = (id: string) => library.sources.find((entry) => entry.id === id)?.label ?? id;
  const pick = (characterId: string, sourceId: string, reason: string) =>
    void save({
      picks: { ...(library.reconciliation.picks ?? {}), [characterId]: { sourceId, reason } },
    }).then(() => setOpen(undefined));
  return (
    <>
      {problem && <Problem>{problem}</Problem>}
      <table className={styles['doubts-table']}>
        <thead>
          <tr>
            <th scope="col">
              <Trans>Taxon and character</Trans>
            </th>
            <th scope="col">
              <Trans>What the sources say; the adopted one is bold</Trans>
            </th>
            <th scope="col">
              <Trans>Exception</Trans>
            </th>
          </tr>
        </thead>
        <tbody>
          {found.map(({ taxon, score }) => {
            const character = vocabulary.get(score.characterId)!;
            const key = `${taxon.id}${score.characterId}${JSON.stringify(score.qualifiers)}`;
            return (
              <tr key={key}>
                <td>
                  <Link to={`/c/${courseId}/species/${taxon.id}`}>{commonName(taxon)}</Link>
                  <br />
                  {characterName(character, course?.audience ?? 'technical')}
                  {Object.keys(score.qualifiers).length > 0 && ` (${qualifiersInWords(score.qualifiers)})`}
                </td>
                <td>
                  {score.statements.map((statement) => (
                    <div
                      key={statement.sourceId}
                      className={score.from.includes(statement.sourceId) ? styles['adopted'] : ''}
                    >
                      {label(statement.sourceId)}:{' '}
                      {valueInWords(statement.value, character, course?.audience, course?.units)}
                    </div>
                  ))}
                </td>
                <td>
                  {open === key ? (
                    <Trust
                      character={character}
                      others={score.statements
                        .map(({ sourceId }) => sourceId)
                        .filter((id) => !score.from.includes(id))}
                      label={label}
                      onTrust={(sourceId, reason) => pick(score.characterId, sourceId, reason)}
                    />
                  ) : (
                    <LinkButton onClick={() => setOpen(key)}>
                      <Trans>Trust the other one</Trans>
                    </LinkButton>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </>
  );
}

interface TrustProps {
  character: Character;
  /** Sources that say something else than is adopted. */
  others: readonly string[];
  label(sourceId: string): string;
  onTrust(sourceId: string, reason: string): void;
}

/** Another source is right on this one, and why. */
function Trust({ character, others, label, onTrust }: TrustProps) {
  const [reason, setReason] = useState('');
  return (
    <div className={styles['reason']}>
      <input
        aria-label={t`Why another source is right on ${character.term}`}
        placeholder={t`Because…`}
        value={reason}
        onChange={(event) => setReason(event.target.value)}
      />
      {others.map((sourceId) => (
        <Button
          key={sourceId}
          size="small"
          disabled={reason.trim().length < 3}
          onClick={() => onTrust(sourceId, reason)}
        >
          <Trans>
            Trust {label(sourceId)} on {character.term}
          </Trans>
        </Button>
      ))}
    </div>
  );
}

function Gaps({ courseId }: { courseId: string }) {
  const { library, vocabulary, profiles, profileOf } = useLibrary();
  const course = useQuery(courseQuery(courseId)).data;
  const { day } = useFieldDate();
  const gaps = useMemo(() => {
    const taught = new Set(course?.sets.flatMap((set) => set.taxa) ?? []);
    const list = profiles.filter(({ taxon }) => taught.size === 0 || taught.has(taxon.id));
    const view = { ...MEDIUM_VIEWS.cutting, day, qualifiers: { plantAge: 'mature' } };
    return gapsOf(list, vocabulary, view, {
      ...(library ? { reference: library.reference } : {}),
      ...(course ? { site: course } : {}),
    }).slice(0, 14);
  }, [course, profiles, vocabulary, library, day]);
  const name = (id: string) => commonName(profileOf(id)!.taxon);
  return (
    <>
      <h2>
        <Trans>What is missing</Trans>
      </h2>
      {gaps.length === 0 && (
        <p>
          <Trans>Every character that a cutting shows on {dayLabel(day)} is scored.</Trans>
        </p>
      )}
      {gaps.length > 0 && (
        <p className="quiet">
          <Trans>
            On {course ? t`this course’s list` : t`the library`}, of what a cutting shows on {dayLabel(day)}.
            “Would settle” counts pairs that are not settled now and would be if the two turned out to differ
            clearly.
          </Trans>
        </p>
      )}
      <ul>
        {gaps.map((gap) => (
          <GapLine key={gap.character.id} gap={gap} name={name} courseId={courseId} />
        ))}
      </ul>
    </>
  );
}

function GapLine({ gap, name, courseId }: { gap: Gap; name(id: string): string; courseId: string }) {
  const n = gap.taxa.length;
  const settles = gap.wouldSettle.length;
  return (
    <li>
      <details>
        <summary>
          <Plural value={n} one="1 taxon lacks" other="# taxa lack" /> <strong>{gap.character.term}</strong>;{' '}
          {settles === 0
            ? t`it settles no pair that is open now.`
            : t`it would settle ${settles} ${plural(settles, { one: 'pair', other: 'pairs' })} not settled now.`}
        </summary>
        <p>
          <Trans>
            Missing in{' '}
            {gap.taxa.map((id, i) => (
              <span key={id}>
                {i > 0 && ', '}
                <Link to={`/c/${courseId}/species/${id}/edit`}>{name(id)}</Link>
              </span>
            ))}
            .
            {settles > 0 &&
              t` Pairs: ${gap.wouldSettle.map(([a, b]) => t`${name(a)} and ${name(b)}`).join('; ')}.`}
          </Trans>
        </p>
      </details>
    </li>
  );
}
