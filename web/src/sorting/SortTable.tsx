import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { Course } from '@hurrow/contract/courses';
import { useCallback, useMemo, useState } from 'react';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { keyLines } from '@hurrow/core/key';
import {
  keyOfSorts,
  readAsSaid,
  sortPile,
  tableOf,
  tableView,
  waysOf,
  type OnTable,
  type Parting,
  type Pile,
  type SaidWays,
  type SortedPile,
} from '@hurrow/core/sorting';
import { traitsInWords } from '@hurrow/core/specimen';
import { commonName, scientificName } from '@hurrow/core/taxon';
import type { View } from '@hurrow/core/view';
import type { Vocabulary } from '@hurrow/core/vocabulary';
import { useDrawnLater } from '../app/drawnLater.ts';
import {
  calledAt,
  keyWorthInWords,
  openPiles,
  partingInWords,
  pileAt,
  pileInWords,
  replaced,
  together,
  wayInWords,
  type PilePath,
} from './table.ts';
import type { TableState } from './kept.ts';
import type { TableInUse } from './useTable.ts';
import { beside } from '../workers/drawnBeside.ts';
import styles from './sorting.module.css';

export interface SortTableProps {
  course: Course;
  list: readonly ProfiledTaxon[];
  vocabulary: Vocabulary;
  inUse: TableInUse;
}

/** Specimens on a table, sorted into two piles, and each pile again: what parts them is said after each sort. */
export function SortTable(props: SortTableProps) {
  return <Table key={props.inUse.state.id} {...props} />;
}

function Table({ course, list, vocabulary, inUse }: SortTableProps) {
  const { state, sort, say, another } = inUse;
  const { piles: root, said } = state;
  const { view, table } = useLaid(list, vocabulary, state);
  const [ringed, ring] = useState<readonly number[]>([]);
  const [named, setNamed] = useState(false);
  const sorted = useMemo(() => readAsSaid(root, said, table, vocabulary), [root, said, table, vocabulary]);
  const words = { vocabulary, audience: course.audience, units: course.units };
  const open = openPiles(root);
  // The way to the pile on the table.
  const [path, setPath] = useState<PilePath>([]);
  const pile = pileAt(root, path);
  const nameOf = (place: number) => {
    const { taxonId } = table[place]!;
    const found = list.find(({ taxon }) => taxon.id === taxonId);
    return found ? `${commonName(found.taxon)}, ${scientificName(found.taxon)}` : taxonId;
  };
  const make = () => {
    sort(replaced(root, path, sortPile(pile, ringed)));
    ring([]);
  };
  return (
    <div className={styles['sorting']}>
      <div>
        <p className={styles['task']} aria-live="polite">
          {pile.into
            ? partingInWords(waysOf(pile, table, vocabulary)[said[path.join('')] ?? 0], pile, words, table)
            : ringed.length === 0
              ? t`Make two piles, by whatever you see: touch those of the first.`
              : t`${ringed.length} ringed, ${pile.specimens.length - ringed.length} left.`}
        </p>
        {pile.into ? (
          <Sorted
            {...{ pile, table, named, nameOf, course, vocabulary, view }}
            ways={waysOf(pile, table, vocabulary)}
            chosen={said[path.join('')] ?? 0}
            words={words}
            onChoose={(way) => say({ [path.join('')]: way })}
            onAgain={(step) => setPath([...path, step])}
          />
        ) : (
          <div className={styles['table']}>
            {pile.specimens.map((place) => (
              <Specimen
                key={place}
                {...{ place, course, vocabulary, view }}
                on={table[place]!}
                name={named ? nameOf(place) : undefined}
                ringed={ringed.includes(place)}
                onPress={() =>
                  ring(ringed.includes(place) ? ringed.filter((held) => held !== place) : [...ringed, place])
                }
              />
            ))}
          </div>
        )}
        <Doing
          pile={pile}
          real={state.real !== undefined}
          ringed={ringed.length}
          deep={path.length > 0}
          named={named}
          onMake={make}
          onTogether={() => sort(together(root, path))}
          onBack={() => setPath(path.slice(0, -1))}
          onNames={() => setNamed(!named)}
          onAnother={another}
        />
      </div>
      <aside aria-label={t`The piles so far`}>
        <h2>{root.into ? t`Your piles` : t`Nothing sorted yet`}</h2>
        {root.into && <Tree {...{ root, path: [], said, table, words, at: path, onOpen: setPath }} />}
        {root.into && <OwnKey sorted={sorted} {...{ view, table, words, list }} open={open.length} />}
      </aside>
    </div>
  );
}

/** What lies on the table, and what is seen of it. */
function useLaid(list: SortTableProps['list'], vocabulary: Vocabulary, { day, seed, real }: TableState) {
  const view = useMemo(() => tableView(day), [day]);
  const table = useMemo(
    () => tableOf(list, vocabulary, view, { seed, ...(real ? { real } : {}) }),
    [list, vocabulary, view, seed, real],
  );
  return { view, table };
}

interface DoingProps {
  pile: Pile;
  /** Real twigs lie on the table. */
  real: boolean;
  ringed: number;
  /** The pile is a part of a larger one. */
  deep: boolean;
  named: boolean;
  onMake(): void;
  onTogether(): void;
  onBack(): void;
  onNames(): void;
  onAnother(): void;
}

/** What can be done with the pile on the table. */
function Doing({
  pile,
  real,
  ringed,
  deep,
  named,
  onMake,
  onTogether,
  onBack,
  onNames,
  onAnother,
}: DoingProps) {
  return (
    <p className={styles['does']}>
      {!pile.into && (
        <button
          type="button"
          className={styles['main']}
          disabled={ringed === 0 || ringed === pile.specimens.length}
          onClick={onMake}
        >
          <Trans>Two piles</Trans>
        </button>
      )}
      {pile.into && (
        <button type="button" onClick={onTogether}>
          <Trans>Put them together again</Trans>
        </button>
      )}
      {deep && (
        <button type="button" onClick={onBack}>
          <Trans>Back to the larger pile</Trans>
        </button>
      )}
      <button type="button" aria-pressed={named} onClick={onNames}>
        <Trans>Names</Trans>
      </button>
      <button type="button" onClick={onAnother}>
        {real ? t`Begin anew` : t`Other specimens`}
      </button>
    </p>
  );
}

interface Drawn {
  course: Course;
  vocabulary: Vocabulary;
  view: View;
}

interface SortedProps extends Drawn {
  pile: Pile;
  table: readonly OnTable[];
  ways: Parting[];
  chosen: number;
  named: boolean;
  words: Parameters<typeof wayInWords>[1];
  nameOf(place: number): string;
  onChoose(way: number): void;
  onAgain(step: number): void;
}

/** Two piles, each a circle drawn around what lies in it, with what it shows. */
function Sorted(props: SortedProps) {
  const { pile, table, ways, chosen, named, words, nameOf, onChoose, onAgain, ...drawn } = props;
  const parting = ways[chosen];
  return (
    <>
      {ways.length > 1 && (
        <p className={styles['ways']}>
          <Trans>
            Or was it{' '}
            {ways.map((way, i) =>
              i === chosen ? null : (
                <button key={way.characterId + String(i)} type="button" onClick={() => onChoose(i)}>
                  {wayInWords(way, words)}
                </button>
              ),
            )}
            ?
          </Trans>
        </p>
      )}
      <div className={styles['piles']}>
        {pile.into!.map((half, step) => (
          <section
            key={step}
            className={styles['pile']}
            aria-label={step === 0 ? t`First pile` : t`Second pile`}
          >
            <h3>
              {parting
                ? pileInWords(parting, step, words)
                : step === 0
                  ? t`The first pile`
                  : t`The second pile`}
            </h3>
            <div className={styles['table']}>
              {half.specimens.map((place) => (
                <Specimen
                  key={place}
                  {...drawn}
                  place={place}
                  on={table[place]!}
                  small
                  odd={parting?.slips.some((at) => pile.specimens[at] === place) ?? false}
                  name={named ? nameOf(place) : undefined}
                />
              ))}
            </div>
            {half.specimens.length > 1 && (
              <button type="button" onClick={() => onAgain(step)}>
                {half.into ? t`Look at its piles` : t`Sort this pile`}
              </button>
            )}
          </section>
        ))}
      </div>
    </>
  );
}

interface SpecimenProps extends Drawn {
  place: number;
  on: OnTable;
  name: string | undefined;
  ringed?: boolean;
  odd?: boolean;
  small?: boolean;
  onPress?(): void;
}

const FRAME = { width: 300, height: 200 };

function Specimen({
  place,
  on,
  name,
  ringed = false,
  odd = false,
  small = false,
  onPress,
  ...drawn
}: SpecimenProps) {
  const { course, vocabulary, view } = drawn;
  const draw = useCallback(
    async () =>
      on.traits &&
      beside().specimen(
        on.traits,
        view.organs,
        { ...FRAME, units: course.units, insets: false },
        t`Specimen ${place + 1}`,
      ),
    [on, view, course.units, place],
  );
  const picture = useDrawnLater(on, `sort ${view.day}`, draw);
  const text = on.traits && traitsInWords(on.traits, view.organs, vocabulary, course.audience, course.units);
  const inside = (
    <>
      {on.tag === undefined ? <strong>{place + 1}</strong> : <b className={styles['tag']}>{on.tag}</b>}
      {picture && <img src={picture} alt="" draggable={false} />}
      {name && <small>{name}</small>}
    </>
  );
  return onPress ? (
    <button
      type="button"
      className={styles['specimen']}
      aria-pressed={ringed}
      aria-label={text === undefined ? t`Twig ${on.tag ?? ''}` : t`Specimen ${place + 1}. ${text}`}
      onClick={onPress}
    >
      {inside}
    </button>
  ) : (
    <div className={styles['specimen']} data-small={small} data-odd={odd}>
      {inside}
    </div>
  );
}

interface TreeProps {
  root: Pile;
  path: PilePath;
  at: PilePath;
  said: SaidWays;
  table: readonly OnTable[];
  words: SortedProps['words'];
  onOpen(path: PilePath): void;
}

/** The growing tree of piles. */
function Tree({ root, path, at, said, table, words, onOpen }: TreeProps) {
  const parting = waysOf(root, table, words.vocabulary)[said[path.join('')] ?? 0];
  return (
    <ul className={styles['tree']}>
      {root.into!.map((pile, step) => {
        const here = [...path, step];
        return (
          <li key={step}>
            <button type="button" aria-current={here.join() === at.join()} onClick={() => onOpen(here)}>
              {parting ? pileInWords(parting, step, words) : t`pile ${step + 1}`}
            </button>{' '}
            <span className="quiet">{pile.specimens.map((place) => calledAt(table, place)).join(', ')}</span>
            {pile.into && <Tree root={pile} {...{ path: here, at, said, table, words, onOpen }} />}
          </li>
        );
      })}
    </ul>
  );
}

interface OwnKeyProps {
  sorted: SortedPile;
  view: View;
  table: readonly OnTable[];
  words: SortedProps['words'];
  list: readonly ProfiledTaxon[];
  open: number;
}

/** The sorts read as a key: what the class has made, and how far it takes one. */
function OwnKey({ sorted, view, table, words, list, open }: OwnKeyProps) {
  const key = useMemo(
    () => keyOfSorts(sorted, view, (place) => table[place]!.taxonId),
    [sorted, view, table],
  );
  const worth = useMemo(
    () => key && keyWorthInWords(key, list, words.vocabulary),
    [key, list, words.vocabulary],
  );
  if (!key) return null;
  const nameOf = (id: string) => {
    const found = list.find(({ taxon }) => taxon.id === id);
    return found ? commonName(found.taxon) : id;
  };
  const lines = keyLines(key, 'indented', words.vocabulary, words.audience, words.units);
  const alone = lines.filter(({ to }) => 'taxa' in to && to.taxa.length === 1).length;
  return (
    <>
      <h2>
        <Trans>Your own key</Trans>
      </h2>
      <p className="quiet">
        <Trans>
          {alone} of {open} piles hold one kind of tree. {worth}
        </Trans>
      </p>
      <ol className={styles['key']}>
        {lines.map(({ label, depth, words: text, to }) => (
          <li key={label} style={{ marginLeft: depth * 14 }}>
            {label} {text} {'taxa' in to ? <strong>{to.taxa.map(nameOf).join(', ')}</strong> : null}
          </li>
        ))}
      </ol>
    </>
  );
}
