import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { KeptMeasurement, KeptTree, WholeGrounds } from '@hurrow/contract/grounds';
import { useQuery } from '@tanstack/react-query';
import { Button, Popconfirm } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import {
  besideLargest,
  girthInWords,
  girthOfStems,
  lengthBy,
  lengthInWords,
  pointsOf,
  climbInWords,
} from '@hurrow/core/field';
import {
  HAZARD_CARE,
  OBSERVED_PARTS,
  OBSERVED_TITLES,
  partsOf,
  REACH_TITLES,
  REACHED_ORGANS,
  WHO_DECIDES,
} from '@hurrow/core/grounds';
import type { UnitSystem } from '@hurrow/core/score';
import { commonName, type Taxon } from '@hurrow/core/taxon';
import { SHOWN_TITLES } from '@hurrow/core/view';
import { call } from '../app/api.ts';
import { courseQuery, useLibrary } from '../app/data.ts';
import { Latin } from '../app/Names.tsx';
import { Problem } from '../app/parts.tsx';
import { useMayChange } from '../app/mayChange.ts';
import { useSaving } from '../app/useSaving.ts';
import { NoteSeen } from './NoteSeen.tsx';
import { TreePictures } from './TreePictures.tsx';
import styles from './grounds.module.css';
import { inField } from '../language/inField.ts';
import { likelySaid } from './likelySaid.ts';

interface TreeSheetProps {
  courseId: string;
  whole: WholeGrounds;
  tree: KeptTree;
  day: string;
  onEdit(): void;
}

/** All that is known of one tree, the nearest to hand first: what it is, what may be cut, what it carries, how large it is. */
export function TreeSheet({ courseId, whole, tree, day, onEdit }: TreeSheetProps) {
  const { profileOf } = useLibrary();
  const units = useQuery(courseQuery(courseId)).data?.units ?? 'metric';
  const taxon = tree.taxonId === null ? undefined : profileOf(tree.taxonId)?.taxon;
  return (
    <article className={styles['tree']} aria-label={t`Tree ${tree.tag}`}>
      <Head {...{ courseId, whole, tree, day, onEdit }} taxon={taxon} />
      <dl className={styles['facts']}>
        <dt>
          <Trans>May be cut</Trans>
        </dt>
        <dd>{leaveInWords(tree, day)}</dd>
        <dt>
          <Trans>Reach</Trans>
        </dt>
        <dd>
          <Reaches tree={tree} />
        </dd>
        <dt>
          <Trans>Stands</Trans>
        </dt>
        <dd>
          {tree.stage}
          {tree.sex !== 'unknown' && `, ${tree.sex}`}
          {tree.elevation !== null && t`, at ${climbInWords(tree.elevation, units)}`}
          {tree.stepFree && t`, reached without a step`}
          {tree.access && `. ${tree.access}`}
        </dd>
        <dt>
          <Trans>Size</Trans>
        </dt>
        <dd>
          <Size
            tree={tree}
            units={units}
            measurements={whole.measurements.filter((each) => each.treeId === tree.id)}
          />
        </dd>
        {tree.note && (
          <>
            <dt>
              <Trans>Note</Trans>
            </dt>
            <dd>{tree.note}</dd>
          </>
        )}
      </dl>
      <Care tree={tree} taxon={taxon} />
      <Carries whole={whole} tree={tree} day={day} />
      <TreePictures whole={whole} tree={tree} />
      <NoteSeen whole={whole} tree={tree} day={day} />
    </article>
  );
}

/** What it is, and what can be done with it. */
function Head({ courseId, whole, tree, onEdit, taxon }: TreeSheetProps & { taxon: Taxon | undefined }) {
  const mayChange = useMayChange();
  return (
    <header>
      <h2>
        {tree.tag}: {taxon ? commonName(taxon) : t`not named yet`}
      </h2>
      <p>
        {taxon && (
          <Link to={`/c/${courseId}/species/${taxon.id}`}>
            <Latin names={taxon} />
          </Link>
        )}{' '}
        <span className="quiet">
          {tree.confirmedBy ? t`name confirmed by ${tree.confirmedBy}` : t`nobody has confirmed its name`}
        </span>
      </p>
      <p className={styles['does']}>
        <Link className={styles['go']} to={`/field/${courseId}/${whole.id}/${tree.id}`}>
          <Trans>Measure it</Trans>
        </Link>
        <Button onClick={onEdit}>
          <Trans>Change</Trans>
        </Button>
        <a
          href={`/api/grounds/${whole.id}/tags.pdf?trees=${tree.id}&at=${encodeURIComponent(window.location.origin)}`}
          download
        >
          <Trans>Print its tag</Trans>
        </a>
        {mayChange && <TakeAway groundsId={whole.id} tree={tree} />}
      </p>
    </header>
  );
}

/** What stands there that can hurt, and how one minds it. */
function Care({ tree: { hazards }, taxon }: { tree: KeptTree; taxon: Taxon | undefined }) {
  const cautions = taxon?.cautions ?? [];
  if (hazards.length === 0 && cautions.length === 0) return null;
  return (
    <section className={styles['care']}>
      <h3>
        <Trans>To be minded</Trans>
      </h3>
      <ul>
        {hazards.map((hazard) => (
          <li key={hazard}>
            <b>{inField(hazard)}</b> {inField(HAZARD_CARE[hazard])}
          </li>
        ))}
        {cautions.map(({ kind, part, care }) => (
          <li key={kind + part}>
            <b>{inField(kind)}</b> {care}
          </li>
        ))}
      </ul>
      <small>{inField(WHO_DECIDES)}</small>
    </section>
  );
}

/** “yes, until 2026-09-30” or what stands against it. */
function leaveInWords({ cutting, permission, until }: KeptTree, day: string): string {
  const by = permission ? ` (${permission})` : '';
  if (cutting === 'no') return `No${by}.`;
  if (cutting === 'ask') return t`Ask first${by}.`;
  if (until !== null && until < day) return t`The leave ran out on ${until}${by}: ask again.`;
  return `Yes${until ? t`, until ${until}` : ''}${by}.`;
}

/** How each organ can be had, as a ladder of hand, pole and glass. */
const Reaches = ({ tree }: { tree: KeptTree }) => {
  const known = REACHED_ORGANS.filter((organ) => tree.reach[organ]);
  if (known.length === 0)
    return (
      <>
        <Trans>not looked for yet</Trans>
      </>
    );
  return (
    <ul className={styles['reaches']}>
      {known.map((organ) => (
        <li key={organ} data-reach={tree.reach[organ]}>
          <b>{inField(SHOWN_TITLES[organ])}</b> {inField(REACH_TITLES[tree.reach[organ]!])}
        </li>
      ))}
    </ul>
  );
};

function Size({
  tree,
  units,
  measurements,
}: {
  tree: KeptTree;
  units: UnitSystem;
  measurements: readonly KeptMeasurement[];
}) {
  const { profileOf } = useLibrary();
  const girth =
    tree.girths.length > 0
      ? girthOfStems(
          tree.girths.map((each) => lengthBy('girthTape', each)),
          units,
        )
      : undefined;
  const errorOf = (kind: KeptMeasurement['kind']) =>
    measurements.find((each) => each.kind === kind)?.error ?? 0;
  const largest = tree.taxonId === null ? undefined : profileOf(tree.taxonId)?.taxon.largest;
  const points =
    girth && tree.height !== null && tree.spread !== null
      ? pointsOf(
          girth,
          { value: tree.height, error: errorOf('height') ?? 0 },
          { value: tree.spread, error: errorOf('spread') ?? 0 },
        )
      : undefined;
  // Without its measurements nobody knows how sure the sum is.
  const isKnown = errorOf('height') !== undefined && errorOf('spread') !== undefined;
  const said = [
    girth &&
      t`girth ${girthInWords(girth.value, units)}${tree.girths.length > 1 ? t` of ${tree.girths.length} stems` : ''}`,
    tree.height !== null && t`${lengthInWords(tree.height, units)} high`,
    tree.spread !== null && t`crown ${lengthInWords(tree.spread, units)} across`,
  ].filter(Boolean);
  if (said.length === 0)
    return (
      <>
        <Trans>not measured yet</Trans>
      </>
    );
  return (
    <>
      {said.join(', ')}
      {points && (
        <>
          <br />
          <Trans>
            {points.points} size points{isKnown && ` ± ${Math.ceil(points.error)}`}.{' '}
            {besideLargest(points.points, largest, units)}
          </Trans>
        </>
      )}
      {measurements.slice(0, 6).map(({ id, day, kind, working, by }) => (
        <details key={id}>
          <summary>
            {kind}, {day}, {by}
          </summary>
          {working.join(' ')}
        </details>
      ))}
    </>
  );
}

/** What it is likely to carry on the field date, by calendar and sight. */
function Carries({ whole, tree, day }: { whole: WholeGrounds; tree: KeptTree; day: string }) {
  const { library, profileOf } = useLibrary();
  const profiled = tree.taxonId === null ? undefined : profileOf(tree.taxonId);
  if (!profiled || !library) return null;
  const { trees, observations } = whole;
  const of = partsOf(tree, profiled, { trees, observations, day, reference: library.reference, site: whole });
  return (
    <section>
      <h3>
        <Trans>On {day} by calendar and sight</Trans>
      </h3>
      <ul className={styles['carries']}>
        {OBSERVED_PARTS.map((part) => (
          <li key={part}>
            <span>{inField(OBSERVED_TITLES[part].there)}</span> {likelySaid(of(part))}
          </li>
        ))}
      </ul>
    </section>
  );
}

function TakeAway({ groundsId, tree }: { groundsId: string; tree: KeptTree }) {
  const { save, problem } = useSaving();
  const [gone, setGone] = useState(false);
  const take = () =>
    void save(
      () =>
        call('DELETE /api/grounds/{groundsId}/trees/{treeId}', { params: { groundsId, treeId: tree.id } }),
      { stale: [['grounds']], done: () => setGone(true) },
    );
  if (problem) return <Problem>{problem}</Problem>;
  return (
    <Popconfirm
      title={t`Take ${tree.tag} off the list? What was seen and measured of it stays in the store.`}
      okText={t`Take it off`}
      onConfirm={take}
    >
      <Button disabled={gone}>
        <Trans>Take off the list</Trans>
      </Button>
    </Popconfirm>
  );
}
