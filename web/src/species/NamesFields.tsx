import { Input } from 'antd';
import { useState } from 'react';
import type { Taxon } from '@hurrow/core/taxon';

export type Draft = Omit<Taxon, 'id'>;
type SetDraft = <K extends keyof Draft>(key: K, value: Draft[K]) => void;

/** Names of a taxon and what is told of it. */
export function NamesFields({ draft, set, isNew }: { draft: Draft; set: SetDraft; isNew: boolean }) {
  return (
    <fieldset>
      <legend>Names</legend>
      <div className="names-grid">
        <Text label="Genus" value={draft.genus} onChange={(text) => set('genus', text)} first={isNew} />
        <Text label="Epithet" value={draft.epithet} onChange={(text) => set('epithet', text)} />
        <Text label="Authority" value={draft.authority ?? ''} onChange={(text) => set('authority', text)} />
        <Text label="Family" value={draft.family} onChange={(text) => set('family', text)} />
        <Text
          wide
          label="Common names, the preferred one first, with commas"
          value={draft.commonNames.join(', ')}
          onChange={(text) => set('commonNames', names(text))}
          raw
        />
        <Text
          label="Family in common words"
          value={draft.familyCommon ?? ''}
          onChange={(text) => set('familyCommon', text)}
        />
        <Text
          label="Older families, with commas"
          value={(draft.olderFamilies ?? []).join(', ')}
          onChange={(text) => set('olderFamilies', names(text))}
          raw
        />
        <Text
          wide
          label="Synonyms, with commas"
          value={draft.synonyms.join(', ')}
          onChange={(text) => set('synonyms', names(text))}
          raw
        />
        <Text
          wide
          label="What the words mean"
          value={draft.meaning ?? ''}
          onChange={(text) => set('meaning', text)}
        />
        <Text
          wide
          label="Memory aid"
          value={draft.memoryAid ?? ''}
          onChange={(text) => set('memoryAid', text)}
        />
        <Text wide label="Worth telling" value={draft.fact ?? ''} onChange={(text) => set('fact', text)} />
        <Text
          wide
          label="Uses, told as history"
          value={draft.uses ?? ''}
          onChange={(text) => set('uses', text)}
        />
        <Text
          wide
          label="Who eats it and lives in it"
          value={draft.wildlife ?? ''}
          onChange={(text) => set('wildlife', text)}
        />
      </div>
    </fieldset>
  );
}

export const names = (text: string) =>
  text
    .split(',')
    .map((name) => name.trim())
    .filter(Boolean);

interface TextProps {
  label: string;
  value: string;
  onChange(text: string): void;
  wide?: boolean;
  raw?: boolean;
  first?: boolean;
}

/** A labelled field; `raw` keeps what is typed until the field is left, for lists with commas. */
export function Text({ label, value, onChange, wide, raw, first }: TextProps) {
  const [typed, setTyped] = useState<string>();
  return (
    <label className={wide ? 'wide' : ''}>
      <span>{label}</span>
      <Input
        value={raw ? (typed ?? value) : value}
        ref={first ? (input) => void (value === '' && input?.focus()) : undefined}
        onChange={(event) =>
          raw ? (setTyped(event.target.value), onChange(event.target.value)) : onChange(event.target.value)
        }
        onBlur={() => setTyped(undefined)}
      />
    </label>
  );
}
