import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState, type RefObject } from 'react';
import { useNavigate } from 'react-router';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { messageOf } from './api.ts';
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
  const open = (id: string) => {
    setText('');
    find.current?.blur();
    void go(`/c/${courseId}/species/${id}`);
  };
  const none = search.isError
    ? messageOf(search.error)
    : asked === wanted && search.isSuccess && !search.isPlaceholderData
      ? `No species answers to “${wanted}”.`
      : 'Looking…';
  return (
    <div className={styles['find']}>
      <input
        ref={find}
        value={text}
        placeholder="/ find a tree"
        aria-label="Find a tree"
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && found[0]) open(found[0].taxon.id);
          if (event.key === 'Escape') setText('');
        }}
      />
      {wanted && (
        <ul>
          {found.map(({ taxon }) => (
            <li key={taxon.id}>
              <button onClick={() => open(taxon.id)}>
                {commonName(taxon)} <span className="latin">{scientificName(taxon)}</span>
              </button>
            </li>
          ))}
          {found.length === 0 && <li className={`quiet ${styles['none']}`}>{none}</li>}
        </ul>
      )}
    </div>
  );
}

const ofIds = (profiles: readonly ProfiledTaxon[], found: readonly { id: string }[]) =>
  found.flatMap(({ id }) => profiles.find(({ taxon }) => taxon.id === id) ?? []);
