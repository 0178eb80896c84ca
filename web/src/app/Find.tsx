import { t } from '@lingui/core/macro';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState, type KeyboardEvent, type RefObject } from 'react';
import { useNavigate } from 'react-router';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { messageOf } from './api.ts';
import { afterKey } from './choosing.ts';
import { useLibrary } from './data.ts';
import { named } from './named.ts';
import { librarySearch } from './search.ts';
import styles from './find.module.css';

const MOST = 8;

/** Finds a species as one types: by its names at once, else by marks and with slips, as the list of species does. */
export function Find({ courseId, find }: { courseId: string; find: RefObject<HTMLInputElement | null> }) {
  const { library, profiles } = useLibrary();
  const [text, setText] = useState('');
  const go = useNavigate();
  const wanted = text.trim();
  const byName = named(profiles, wanted).slice(0, MOST);
  const asked = useDeferredValue(byName.length === 0 ? wanted : '');
  const search = useQuery(librarySearch(asked, library?.revision ?? 0));
  const byMarks = asked && search.data ? ofIds(profiles, search.data.found).slice(0, MOST) : [];
  const found = byName.length > 0 ? byName : byMarks;
  const [marked, setMarked] = useState(-1);
  const open = (id: string) => {
    setText('');
    setMarked(-1);
    find.current?.blur();
    void go(`/c/${courseId}/species/${id}`);
  };
  const press = (event: KeyboardEvent) => {
    const next = afterKey(event.key, marked, found.length);
    if (!next || !wanted) return;
    event.preventDefault();
    setMarked(next.at);
    if (next.does === 'close') setText('');
    if (next.does === 'take') open(found[next.at]!.taxon.id);
  };
  const none = search.isError
    ? messageOf(search.error)
    : asked === wanted && search.isSuccess && !search.isPlaceholderData
      ? t`No species answers to “${wanted}”.`
      : t`Looking…`;
  return (
    <div className={styles['find']}>
      <input
        ref={find}
        value={text}
        placeholder={t`/ find a tree`}
        aria-label={t`Find a tree`}
        role="combobox"
        aria-autocomplete="list"
        aria-expanded={wanted !== ''}
        aria-controls={LIST}
        aria-activedescendant={found[marked] ? `${LIST}-${marked}` : undefined}
        onChange={(event) => {
          setText(event.target.value);
          setMarked(-1);
        }}
        onKeyDown={press}
      />
      {wanted && (
        <ul id={LIST} role="listbox" aria-label={t`Trees found`}>
          {found.map(({ taxon }, i) => (
            // The field keeps the focus and moves the mark; a press takes an entry.
            <li
              key={taxon.id}
              id={`${LIST}-${i}`}
              role="option"
              aria-selected={i === marked}
              onPointerUp={() => open(taxon.id)}
            >
              {commonName(taxon)} <span className="latin">{scientificName(taxon)}</span>
            </li>
          ))}
          {found.length === 0 && (
            <li className={`quiet ${styles['none']}`} role="presentation">
              {none}
            </li>
          )}
        </ul>
      )}
    </div>
  );
}

const LIST = 'trees-found';

const ofIds = (profiles: readonly ProfiledTaxon[], found: readonly { id: string }[]) =>
  found.flatMap(({ id }) => profiles.find(({ taxon }) => taxon.id === id) ?? []);
