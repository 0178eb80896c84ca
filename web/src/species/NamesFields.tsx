import { t } from '@lingui/core/macro';
import { names } from './editing.ts';
import { NamesInFields } from './NamesInFields.tsx';
import { inTongue } from '../language/inTongue.ts';
import { Trans } from '@lingui/react/macro';
import { Text } from './TextField.tsx';
import { useId } from 'react';

import type { TaxonFields } from './editing.ts';
import styles from './species.module.css';
import ui from '../app/parts.module.css';

type SetDraft = <K extends keyof TaxonFields>(key: K, value: TaxonFields[K]) => void;
type TextKey = 'authority' | 'familyCommon' | 'meaning' | 'memoryAid' | 'fact' | 'uses' | 'wildlife';
type ListKey = 'commonNames' | 'olderFamilies' | 'synonyms';

const RANKS: TaxonFields['rank'][] = ['species', 'subspecies', 'variety', 'genus', 'group'];

/** The fields below genus, epithet, authority and family; lists are written with commas. */
const FIELDS: ({ label: string; wide?: boolean } & ({ text: TextKey } | { list: ListKey }))[] = [
  { label: t`Common names, the preferred one first, with commas`, list: 'commonNames', wide: true },
  { label: t`Family in common words`, text: 'familyCommon' },
  { label: t`Older families, with commas`, list: 'olderFamilies' },
  { label: t`Synonyms, with commas`, list: 'synonyms', wide: true },
  { label: t`What the words mean`, text: 'meaning', wide: true },
  { label: t`Memory aid`, text: 'memoryAid', wide: true },
  { label: t`Worth telling`, text: 'fact', wide: true },
  { label: t`Uses, told as history`, text: 'uses', wide: true },
  { label: t`Who eats it and lives in it`, text: 'wildlife', wide: true },
];

/** Names of a taxon and what is told of it. */
export function NamesFields({ draft, set, isNew }: { draft: TaxonFields; set: SetDraft; isNew: boolean }) {
  return (
    <fieldset>
      <legend>
        <Trans>Names</Trans>
      </legend>
      <div className={styles['names-grid']}>
        <Text label={t`Genus`} value={draft.genus} onChange={(text) => set('genus', text)} first={isNew} />
        <Text label={t`Epithet`} value={draft.epithet} onChange={(text) => set('epithet', text)} />
        <Text
          label={t`Authority`}
          value={draft.authority ?? ''}
          onChange={(text) => set('authority', text)}
        />
        <Text label={t`Family`} value={draft.family} onChange={(text) => set('family', text)} />
        {FIELDS.map((field) =>
          'list' in field ? (
            <Text
              key={field.label}
              {...field}
              value={(draft[field.list] ?? []).join(', ')}
              onChange={(text) => set(field.list, names(text))}
              raw
            />
          ) : (
            <Text
              key={field.label}
              {...field}
              value={draft[field.text] ?? ''}
              onChange={(text) => set(field.text, text)}
            />
          ),
        )}
        <NamesInFields namesIn={draft.namesIn} onChange={(namesIn) => set('namesIn', namesIn)} />
        <RankFields draft={draft} set={set} />
      </div>
    </fieldset>
  );
}

/** The rank of the name: last, since nearly every profile is a species and is typed without it. */
function RankFields({ draft, set }: { draft: TaxonFields; set: SetDraft }) {
  const id = useId();
  return (
    <>
      <div>
        <label htmlFor={id}>
          <span>
            <Trans>Rank</Trans>
          </span>
        </label>
        <select
          id={id}
          className={ui['typed']}
          value={draft.rank}
          onChange={(event) => set('rank', event.target.value as TaxonFields['rank'])}
        >
          {RANKS.map((rank) => (
            <option key={rank} value={rank}>
              {rank === 'group' ? t`informal group` : inTongue(rank)}
            </option>
          ))}
        </select>
      </div>
      {(draft.rank === 'subspecies' || draft.rank === 'variety') && (
        <Text
          label={t`Epithet of the ${draft.rank}`}
          value={draft.infraEpithet ?? ''}
          onChange={(text) => set('infraEpithet', text)}
        />
      )}
      <label>
        <span>
          <Trans>Hybrid (×)</Trans>
        </span>
        <input
          type="checkbox"
          checked={draft.hybrid ?? false}
          onChange={(event) => set('hybrid', event.target.checked)}
        />
      </label>
    </>
  );
}
