import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { LibraryAnswer } from '@hurrow/contract/library';
import { useQuery } from '@tanstack/react-query';
import { Button, Select } from 'antd';
import { useNavigate } from 'react-router';
import type { MeasureSettings, Score } from '@hurrow/core/score';
import { commonName, scientificName, type Taxon } from '@hurrow/core/taxon';
import { ORGANS, type Vocabulary } from '@hurrow/core/vocabulary';
import { courseQuery, useLibraryAsWritten } from '../app/data.ts';
import { BroughtBack } from '../drafts/BroughtBack.tsx';
import { CalendarFields } from './CalendarFields.tsx';
import { CautionFields } from './CautionFields.tsx';
import { asksFor, hasRow, withCopied, withEntry } from './editing.ts';
import { LargestFields } from './LargestFields.tsx';
import { NamesFields } from './NamesFields.tsx';
import { ReadingLine } from './ReadingLine.tsx';
import { ScoreRow } from './ScoreRow.tsx';
import { useEditing, type Editing } from './useEditing.ts';
import styles from './editor.module.css';
import { LinkButton, Problem } from '../app/parts.tsx';
import ui from '../app/parts.module.css';
import speciesStyles from './species.module.css';
import { inTongue } from '../language/inTongue.ts';

/** Names, calendar and scores of one species from one source. What was typed stays until it is saved or given up. */
export function Editor({ courseId, taxonId }: { courseId: string; taxonId: string | undefined }) {
  const { library, vocabulary } = useLibraryAsWritten();
  const course = useQuery(courseQuery(courseId)).data;
  const held = taxonId ? library?.taxa.find(({ taxon }) => taxon.id === taxonId) : undefined;
  if (!library || (taxonId && !held))
    return (
      <section className={ui['page']}>
        <h1>
          <Trans>No such species</Trans>
        </h1>
      </section>
    );
  return (
    <Form
      courseId={courseId}
      library={library}
      vocabulary={vocabulary}
      taxon={held?.taxon}
      scores={held?.scores ?? []}
      settings={{ units: course?.units ?? 'metric' }}
    />
  );
}

interface FormProps {
  courseId: string;
  library: LibraryAnswer;
  vocabulary: Vocabulary;
  taxon: Taxon | undefined;
  scores: readonly Score[];
  settings: MeasureSettings;
}

function Form(props: FormProps) {
  const { courseId, library, vocabulary, taxon, settings } = props;
  const editing = useEditing(props);
  const go = useNavigate();
  const { problem, stale, busy, save } = editing;
  const leave = () => void go(taxon ? `/c/${courseId}/species/${taxon.id}` : `/c/${courseId}/species`);
  return (
    <section
      className={speciesStyles['editor']}
      aria-label={t`Editor`}
      onKeyDown={(event) => {
        if (event.key !== 's' || !(event.ctrlKey || event.metaKey)) return;
        event.preventDefault();
        void save();
      }}
    >
      <div className={speciesStyles['editor-head']}>
        <h1>{taxon ? t`Edit ${scientificName(taxon)}` : t`New species`}</h1>
        <Button onClick={leave}>{editing.changed ? t`Leave, keep a draft` : t`Leave`}</Button>
        <Button type="primary" loading={busy} onClick={() => void save()}>
          <Trans>Save</Trans>
        </Button>
        <OrganLinks editing={editing} vocabulary={vocabulary} />
      </div>
      {problem && (
        <Problem>
          {problem}{' '}
          {stale && (
            <LinkButton onClick={() => void editing.takeTheirs()}>
              <Trans>Load the new version and keep my values</Trans>
            </LinkButton>
          )}
        </Problem>
      )}
      <BroughtBack at={editing.broughtBack} onGiveUp={editing.giveUp} />
      <NamesFields draft={editing.names} set={editing.setName} isNew={!taxon} />
      <CalendarFields editing={editing} />
      <CautionFields
        cautions={editing.names.cautions}
        onChange={(cautions) => editing.setName('cautions', cautions)}
      />
      <LargestFields
        trees={editing.names.largest ?? []}
        onChange={(largest) => editing.setName('largest', largest)}
      />
      <ReadingLine>
        <SourceLine editing={editing} library={library} vocabulary={vocabulary} self={taxon?.id} />
        <OrganFields editing={editing} library={library} vocabulary={vocabulary} settings={settings} />
      </ReadingLine>
      {taxon && <LeaveLibrary taxon={taxon} editing={editing} />}
    </section>
  );
}

/** The organs that have rows in the form. */
const partsOf = ({ adopted, entries }: Editing, vocabulary: Vocabulary) =>
  ORGANS.filter(
    ({ organ }) =>
      asksFor(organ, adopted) &&
      [...vocabulary.values()].some(
        (character) => character.organ === organ && hasRow(character, entries, adopted, vocabulary),
      ),
  );

/** The organs of the form, to get to each with one press. */
function OrganLinks({ editing, vocabulary }: { editing: Editing; vocabulary: Vocabulary }) {
  return (
    <nav className={styles['organLinks']} aria-label={t`Parts of the form`}>
      {partsOf(editing, vocabulary).map(({ organ, title }) => (
        <button
          key={organ}
          type="button"
          onClick={() => document.getElementById(`part-${organ}`)?.scrollIntoView({ block: 'start' })}
        >
          {inTongue(title)}
        </button>
      ))}
    </nav>
  );
}

/** Whose scores are being entered, and a relative to begin from. */
function SourceLine({
  editing,
  library,
  vocabulary,
  self,
}: {
  editing: Editing;
  library: LibraryAnswer;
  vocabulary: Vocabulary;
  self: string | undefined;
}) {
  const { profiles } = useLibraryAsWritten();
  const { edits, setEdits, entries } = editing;
  return (
    <fieldset>
      <legend>
        <Trans>Scores</Trans>
      </legend>
      <p className={styles['sourceLine']}>
        <Trans>Of</Trans>{' '}
        <Select
          aria-label={t`Source of the scores`}
          value={edits.sourceId}
          onChange={(sourceId: string) => setEdits({ ...edits, sourceId })}
          options={library.sources.map((source) => ({ value: source.id, label: source.label }))}
          className={styles['source']!}
        />{' '}
        {library.taxa.length > 0 && (
          <>
            <Trans>and copy what is empty from</Trans>{' '}
            <Select
              aria-label={t`Relative to copy from`}
              showSearch={{ optionFilterProp: 'label' }}
              placeholder={t`a relative…`}
              value={null}
              className={styles['relative']!}
              onChange={(id: string | null) => {
                const from = profiles.find((profiled) => profiled.taxon.id === id);
                if (!from) return;
                const copied = from.scores.map((score) => ({ ...score, sourceId: '' }));
                setEdits(withCopied(edits, entries, copied, vocabulary));
              }}
              options={profiles
                .filter((profiled) => profiled.taxon.id !== self)
                .map((profiled) => ({
                  value: profiled.taxon.id,
                  label: `${scientificName(profiled.taxon)}, ${commonName(profiled.taxon)}`,
                }))}
            />
          </>
        )}
      </p>
      <p className="quiet">
        <Trans>
          Press the key on a state for “always”, again for “usually”, “sometimes”, “rarely” and off. Enter or
          ↓ goes on, ↑ back, Alt+Q changes what it holds for, Ctrl+S saves. Ranges as you would write them:
          (4)5–9(10), 4–7 in, 60–90 ft. In gray at the right: what the library adopts from other sources.
        </Trans>
      </p>
    </fieldset>
  );
}

/** Every character that may apply, organ by organ, with what this source says of it. */
function OrganFields({
  editing,
  library,
  vocabulary,
  settings,
}: {
  editing: Editing;
  library: LibraryAnswer;
  vocabulary: Vocabulary;
  settings: MeasureSettings;
}) {
  const { edits, setEdits, entries, adopted, problems } = editing;
  const label = (id: string) => library.sources.find((source) => source.id === id)?.label ?? id;
  return partsOf(editing, vocabulary).map(({ organ, title }) => (
    <fieldset key={organ} id={`part-${organ}`} className={styles['part']}>
      <legend>{inTongue(title)}</legend>
      {[...vocabulary.values()]
        .filter((character) => character.organ === organ && hasRow(character, entries, adopted, vocabulary))
        .map((character) => (
          <ScoreRow
            key={`${character.id} ${edits.sourceId}`}
            character={character}
            entries={[...entries.values()].filter((entry) => entry.characterId === character.id)}
            adopted={adopted.filter(
              (score) => score.characterId === character.id && !score.from.includes(edits.sourceId),
            )}
            sourceLabel={label}
            problems={problems.filter((found) => found.characterId === character.id)}
            settings={settings}
            onChange={(entry) => setEdits((before) => withEntry(before, entry))}
          />
        ))}
    </fieldset>
  ));
}

/** Taking a species out: retired it keeps its past, deleted it is gone. */
function LeaveLibrary({ taxon, editing }: { taxon: Taxon; editing: Editing }) {
  return (
    <fieldset>
      <legend>
        <Trans>In the library</Trans>
      </legend>
      {taxon.retired ? (
        <p>
          <Trans>
            This species is retired: it stands in no list and takes part in nothing new; old quizzes keep it.
          </Trans>{' '}
          <Button onClick={() => void editing.retire(false)}>
            <Trans>Take it back in</Trans>
          </Button>
        </p>
      ) : (
        <p>
          <Button onClick={() => void editing.retire(true)}>
            <Trans>Retire</Trans>
          </Button>{' '}
          <span className="quiet">
            <Trans>It leaves the lists, and old quizzes keep it.</Trans>
          </span>{' '}
          <Button onClick={() => void editing.takeAway()}>
            <Trans>Delete</Trans>
          </Button>{' '}
          <span className="quiet">
            <Trans>Only while no list, quiz or ruling rests on it.</Trans>
          </span>
        </p>
      )}
    </fieldset>
  );
}
