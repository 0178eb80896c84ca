import { t } from '@lingui/core/macro';
import { useState } from 'react';
import type { TaxonFields } from './editing.ts';
import { languageName, languagesLeft, withNames } from './namesIn.ts';
import { Text } from './TextField.tsx';
import ui from '../app/parts.module.css';

interface NamesInProps {
  namesIn: TaxonFields['namesIn'];
  onChange(namesIn: TaxonFields['namesIn']): void;
}

/** What the species is called in other languages, a line for each; a course chooses in which its trees are called. */
export function NamesInFields({ namesIn, onChange }: NamesInProps) {
  const [added, setAdded] = useState<string[]>([]);
  const tags = [...new Set([...Object.keys(namesIn ?? {}), ...added])];
  return (
    <>
      {tags.map((tag) => (
        <Text
          key={tag}
          label={t`Names in ${languageName(tag)}, with commas`}
          value={(namesIn?.[tag] ?? []).join(', ')}
          onChange={(text) => onChange(withNames(namesIn, tag, text))}
          wide
          raw
        />
      ))}
      <label>
        <span>{t`Names in another language`}</span>
        <select
          className={ui['typed']}
          value=""
          onChange={({ target }) => setAdded((held) => [...held, target.value])}
        >
          <option value="">{t`choose a language`}</option>
          {languagesLeft(tags).map(([tag, name]) => (
            <option key={tag} value={tag}>
              {name}
            </option>
          ))}
        </select>
      </label>
    </>
  );
}
