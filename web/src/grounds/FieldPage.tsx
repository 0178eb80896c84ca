import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { KeptTree, WholeGrounds } from '@hurrow/contract/grounds';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { lengthInWords, wayInWords } from '@hurrow/core/field';
import { metresBetween, type LatLon } from '@hurrow/core/grounds';
import { messageOf } from '../app/api.ts';
import { courseQuery, useLibrary } from '../app/data.ts';
import { Opening, Problem } from '../app/parts.tsx';
import { GroundsMap } from './GroundsMap.tsx';
import { groundsQuery } from './groundsData.ts';
import { MeasureTree } from './MeasureTree.tsx';
import { mapTrees, nameOfTree, treesFound } from './mapTrees.ts';
import { NoteSeen } from './NoteSeen.tsx';
import { TreePictures } from './TreePictures.tsx';
import { withNoted } from './pending.ts';
import { useField } from './useField.ts';
import { useFieldDay } from './useFieldDay.ts';
import { useHere, useInstruments, type News } from './useInstruments.ts';
import { Waits } from './Waits.tsx';
import styles from './field.module.css';

/** Grounds on a phone: the trees near you, or the one that you stand at, to be measured and looked at; also without a signal. */
export default function FieldPage() {
  const { courseId = '-', groundsId = '', treeId } = useParams();
  const query = useQuery(groundsQuery(groundsId));
  const field = useField();
  const news = useInstruments();
  const { arrived, waiting, who } = field;
  const whole = useMemo(
    () => query.data && withNoted(query.data, [...arrived, ...waiting], who),
    [query.data, arrived, waiting, who],
  );
  if (query.isError && !whole) return <Problem>{messageOf(query.error)}</Problem>;
  if (!whole) return <Opening />;
  const tree = whole.trees.find(({ id }) => id === treeId);
  const base = `/field/${courseId}/${groundsId}`;
  return (
    <main className={styles['phone']}>
      <header className={styles['bar']}>
        <Link
          to={tree ? base : `/c/${courseId}/grounds/${groundsId}`}
          aria-label={tree ? t`All trees` : t`Back to the desk`}
        >
          ‹
        </Link>
        <h1>{tree ? tree.tag : whole.name}</h1>
      </header>
      <Waits field={field} />
      {treeId && !tree && (
        <Problem>
          <Trans>This tree is not on the list any more. Go back to all trees.</Trans>
        </Problem>
      )}
      {tree ? (
        <AtTree courseId={courseId} whole={whole} tree={tree} news={news} />
      ) : (
        <Near base={base} courseId={courseId} whole={whole} news={news} />
      )}
    </main>
  );
}

function AtTree({
  courseId,
  whole,
  tree,
  news,
}: {
  courseId: string;
  whole: WholeGrounds;
  tree: KeptTree;
  news: News;
}) {
  const { profileOf } = useLibrary();
  const day = useFieldDay();
  return (
    <>
      <p className={styles['status']}>
        {nameOfTree(tree, profileOf)}
        {tree.access && `. ${tree.access}`}
      </p>
      <MeasureTree key={tree.id} courseId={courseId} groundsId={whole.id} tree={tree} news={news} />
      <NoteSeen whole={whole} tree={tree} day={day} />
      <TreePictures whole={whole} tree={tree} />
    </>
  );
}

const SHOWN = 40;

function Near({
  base,
  courseId,
  whole,
  news,
}: {
  base: string;
  courseId: string;
  whole: WholeGrounds;
  news: News;
}) {
  const { profileOf } = useLibrary();
  const units = useQuery(courseQuery(courseId)).data?.units ?? 'metric';
  const day = useFieldDay();
  const [words, setWords] = useState('');
  const { here, ask, asked, problem } = useHere(news.receiver);
  const found = useMemo(
    () => treesFound(whole.trees, { words }, profileOf, day),
    [whole.trees, words, profileOf, day],
  );
  const near = here ? found.toSorted((a, b) => metresBetween(here, a) - metresBetween(here, b)) : found;
  const shown = useMemo(() => mapTrees(found, profileOf, day), [found, profileOf, day]);
  const receiver = news.receiver;
  return (
    <>
      <div className={styles['fieldmap']}>
        <GroundsMap features={whole.features} trees={shown} here={here} label={t`Map of ${whole.name}`} />
      </div>
      <p className={styles['status']} role="status">
        {here
          ? t`You are about here, give or take ${lengthInWords(2 * here.error, units)}.`
          : receiver && receiver.line !== 'none'
            ? receiver.trouble || t`The receiver is being reached…`
            : problem || t`Where you are is not known.`}
        {here && receiver?.trouble && ` ${receiver.trouble}`}
      </p>
      {!here && !asked && (
        <button type="button" className={styles['wide']} onClick={ask}>
          <Trans>Where am I?</Trans>
        </button>
      )}
      <label className={styles['find']}>
        <Trans>Find by tag or name</Trans>
        <input value={words} onChange={(event) => setWords(event.target.value)} />
      </label>
      <ul className={styles['near']} aria-label={t`Trees`}>
        {near.slice(0, SHOWN).map((tree) => (
          <li key={tree.id}>
            <Link to={`${base}/${tree.id}`}>
              <b>{tree.tag}</b>
              <span>{nameOfTree(tree, profileOf)}</span>
              <small>
                {here ? farInWords(here, tree, units) : tree.height === null ? t`not measured` : ''}
              </small>
            </Link>
          </li>
        ))}
      </ul>
      {near.length > SHOWN && (
        <p className="quiet">
          <Trans>{near.length - SHOWN} more: find them by tag or name.</Trans>
        </p>
      )}
    </>
  );
}

const farInWords = (here: LatLon, tree: LatLon, units: 'metric' | 'imperial'): string =>
  wayInWords(Math.max(10, metresBetween(here, tree)), units);
