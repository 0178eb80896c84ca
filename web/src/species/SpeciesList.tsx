import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Button } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { useVirtualizer } from '@tanstack/react-virtual';
import { memo, useDeferredValue, useEffect, useEffectEvent, useMemo, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { commonName } from '@hurrow/core/taxon';
import { stateOf, organTitle } from '@hurrow/core/vocabulary';
import { messageOf } from '../app/api.ts';
import { useVocabulary } from '../app/data.ts';
import { Strip } from '../app/Drawings.tsx';
import { useKeys } from '../app/keys.ts';
import { Latin } from '../app/Names.tsx';
import { librarySearch } from '../app/search.ts';
import styles from './species.module.css';
import { LinkButton, Problem } from '../app/parts.tsx';
import { countOf, inSight, ordered, shows, statesOf, type Order, type StateFilter } from './listing.ts';
import { inTongue } from '../language/inTongue.ts';

const ROW = 47;

interface SpeciesListProps {
  base: string;
  profiles: readonly ProfiledTaxon[];
  /** Ids of the course's list, in the order in which they are taught. */
  taught: readonly string[];
  revision: number;
  open: string;
}

/** The library as a list: searched as one types, filtered by a state, drawn only where it is looked at. */
export function SpeciesList({ base, profiles, taught, revision, open }: SpeciesListProps) {
  const go = useNavigate();
  const [order, setOrder] = useState<Order>('set');
  const [text, setText] = useState('');
  const [filter, setFilter] = useState<StateFilter>();
  const { search, found, inOrder, listed, asked } = useListed(
    { profiles, taught, revision },
    text,
    order,
    filter,
  );
  const at = listed.findIndex(({ taxon }) => taxon.id === open);
  const step = (by: number) => {
    const next = listed[Math.min(listed.length - 1, Math.max(0, at + by))];
    if (next) void go(`${base}/${next.taxon.id}`);
  };
  useKeys({
    j: () => step(1),
    k: () => step(-1),
    n: () => void go(`${base}/new`),
    e: () => at >= 0 && void go(`${base}/${open}/edit`),
  });
  return (
    <nav className={styles['species-list']} aria-label={t`Species of the library`}>
      <div className={styles['species-search']}>
        <input
          type="search"
          value={text}
          placeholder={t`names, marks: needles 5 blue`}
          aria-label={t`Search names and states`}
          onChange={(event) => setText(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Enter' && listed[0]) void go(`${base}/${listed[0].taxon.id}`);
            if (event.key === 'Escape') setText('');
          }}
        />
        <FilterPicker filter={filter} onChange={setFilter} />
      </div>
      <ListHead
        base={base}
        order={order}
        onOrder={setOrder}
        count={countOf(listed.length, profiles.length)}
        bestFirst={found !== undefined}
      />
      {search.isError && <Problem>{messageOf(search.error)}</Problem>}
      {listed.length === 0 && profiles.length > 0 && (
        <p className={`quiet ${styles['none-found']}`}>
          <Trans>No species {asked ? t`answers to “${asked}”` : t`shows this`}.</Trans>{' '}
          <LinkButton
            onClick={() => {
              setText('');
              setFilter(undefined);
            }}
          >
            <Trans>Show all</Trans>
          </LinkButton>
        </p>
      )}
      <Rows listed={listed} base={base} open={open} at={at} inOrder={inOrder} />
    </nav>
  );
}

/** The taxa as they are listed: those that were found, the best first, or all in an order; of either those that show a state. */
function useListed(
  { profiles, taught, revision }: Pick<SpeciesListProps, 'profiles' | 'taught' | 'revision'>,
  text: string,
  order: Order,
  filter: StateFilter | undefined,
) {
  const asked = useDeferredValue(text.trim());
  const search = useQuery(librarySearch(asked, revision));
  const found = useMemo(
    () => (asked ? search.data?.found.map(({ id }) => id) : undefined),
    [asked, search.data],
  );
  const inOrder = useMemo(() => ordered(profiles, order, taught), [profiles, order, taught]);
  const listed = useMemo(() => {
    const byId = new Map(profiles.map((profiled) => [profiled.taxon.id, profiled]));
    const chosen = found ? found.flatMap((id) => byId.get(id) ?? []) : inOrder;
    return filter ? chosen.filter((profiled) => shows(profiled, filter)) : chosen;
  }, [profiles, found, inOrder, filter]);
  return { search, found, inOrder, listed, asked };
}

interface RowsProps {
  listed: readonly ProfiledTaxon[];
  base: string;
  open: string | undefined;
  /** Place of the one that is open among those listed. */
  at: number;
  /** All taxa in the order chosen. */
  inOrder: readonly ProfiledTaxon[];
}

/** The rows in sight; what is open is kept among them. */
function Rows({ listed, base, open, at, inOrder }: RowsProps) {
  const frame = useRef<HTMLDivElement>(null);
  const rows = useVirtualizer({
    count: listed.length,
    getScrollElement: () => frame.current,
    estimateSize: () => ROW,
    overscan: 8,
  });
  const scrollTo = useEffectEvent(() => {
    if (at >= 0 && frame.current) frame.current.scrollTop = inSight(at * ROW, ROW, frame.current);
  });
  // What is open is kept in sight when it changes, when the list is put in another order (as when the course has come), and when less of it
  // is shown; not while someone searches or scrolls.
  const height = rows.scrollRect?.height ?? 0;
  useEffect(() => {
    if (height > 0) scrollTo();
  }, [open, height, inOrder]);
  return (
    <div className={styles['species-rows']} ref={frame}>
      <ol style={{ height: rows.getTotalSize() }}>
        {rows.getVirtualItems().map((row) => {
          const profiled = listed[row.index]!;
          return (
            <li key={profiled.taxon.id} style={{ transform: `translateY(${row.start}px)`, height: ROW }}>
              <SpeciesRow profiled={profiled} base={base} open={profiled.taxon.id === open} />
            </li>
          );
        })}
      </ol>
    </div>
  );
}

interface ListHeadProps {
  base: string;
  order: Order;
  onOrder(order: Order): void;
  /** How many are listed, in words. */
  count: string;
  /** Found by a search, in the order of how well they answer. */
  bestFirst: boolean;
}

function ListHead({ base, order, onOrder, count, bestFirst }: ListHeadProps) {
  const go = useNavigate();
  return (
    <div className={styles['species-list-head']}>
      <label>
        <span className="visually-hidden">
          <Trans>Order</Trans>
        </span>
        <select value={order} disabled={bestFirst} onChange={(event) => onOrder(event.target.value as Order)}>
          <option value="set">
            {count}, {bestFirst ? t`best first` : t`set order`}
          </option>
          <option value="name">
            <Trans>{count}, by common name</Trans>
          </option>
          <option value="latin">
            <Trans>{count}, by scientific name</Trans>
          </option>
        </select>
      </label>
      <Button size="small" onClick={() => void go(`${base}/new`)}>
        <Trans>New</Trans>
      </Button>
      <Button size="small" onClick={() => void go(`${base}/exchange`)}>
        <Trans>Import</Trans>
      </Button>
    </div>
  );
}

/** Drawn once: while the list is scrolled, rows that stay are left as they are. */
const SpeciesRow = memo(function SpeciesRow({
  profiled,
  base,
  open,
}: {
  profiled: ProfiledTaxon;
  base: string;
  open: boolean;
}) {
  return (
    <Link
      to={`${base}/${profiled.taxon.id}`}
      aria-current={open ? 'page' : undefined}
      className={open ? styles['open'] : ''}
    >
      <span>
        {commonName(profiled.taxon)}
        <br />
        <Latin names={profiled.taxon} />
      </span>
      <Strip profiled={profiled} />
    </Link>
  );
});

const FilterPicker = memo(function FilterPicker({
  filter,
  onChange,
}: {
  filter: StateFilter | undefined;
  onChange(filter: StateFilter | undefined): void;
}) {
  const vocabulary = useVocabulary();
  const [characterId, setCharacterId] = useState('');
  const character = vocabulary.get(characterId);
  const states = character ? statesOf(character) : [];
  return (
    <div className={styles['species-filter']}>
      <select
        aria-label={t`Filter by character`}
        value={characterId}
        onChange={(event) => {
          setCharacterId(event.target.value);
          onChange(undefined);
        }}
      >
        <option value="">
          <Trans>All characters</Trans>
        </option>
        {[...vocabulary.values()]
          .filter((entry) => !entry.derived && statesOf(entry).length > 0)
          .map((entry) => (
            <option key={entry.id} value={entry.id}>
              {inTongue(organTitle(entry.organ))}: {entry.term}
            </option>
          ))}
      </select>
      {character && (
        <select
          aria-label={t`State of ${character.term}`}
          value={filter?.state ?? ''}
          onChange={(event) =>
            onChange(event.target.value ? { characterId, state: event.target.value } : undefined)
          }
        >
          <option value="">
            <Trans>any state</Trans>
          </option>
          {states.map((state) => (
            <option key={state} value={state}>
              {stateOf(character, state)?.term ?? state}
            </option>
          ))}
        </select>
      )}
    </div>
  );
});
