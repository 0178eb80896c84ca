import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { Sitting } from '@hurrow/contract/sitting';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState, type ReactNode } from 'react';
import { Link, Route, Routes, useParams, useSearchParams } from 'react-router';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { readLibrary } from '@hurrow/core/library';
import { characterName, qualifiersInWords, valueInWords } from '@hurrow/core/score';
import { commonName } from '@hurrow/core/taxon';
import { MEDIUM_VIEWS, type View } from '@hurrow/core/view';
import { organsInOrder, SHOWN_BY } from '@hurrow/core/vocabulary';
import { Cautions } from '../app/Cautions.tsx';
import { call, messageOf } from '../app/api.ts';
import { useLibrary } from '../app/data.ts';
import { SiteSpecimen, Strip } from '../app/Drawings.tsx';
import { FieldDateProvider, useFieldDate } from '../app/fieldDate.tsx';
import { Latin } from '../app/Names.tsx';
import { sessionQuery } from '../app/session.ts';
import { taxaAsked, withTaxonAt } from '../app/taxaAsked.ts';
import { ContrastView } from '../lookalikes/ContrastView.tsx';
import { KeyWalk } from '../lookalikes/KeyWalk.tsx';
import { againstSet } from '../lookalikes/recalled.ts';
import { useGround, type Ground } from '../lookalikes/setting.ts';
import { dayOfLesson, lessonQuery } from '../lessons/lessonQuery.ts';
import { Glossary } from '../lessons/Glossary.tsx';
import { Sheet } from '../lessons/Sheet.tsx';
import { bagProblem, treesOfBag } from '../sorting/bag.ts';
import { bagQuery } from '../sorting/bagQuery.ts';
import { Calling, Callings } from './Callings.tsx';
import { sortDepth, sortSaid, type LaidFrom, type TableState } from '../sorting/kept.ts';
import { SortTable } from '../sorting/SortTable.tsx';
import { useTable } from '../sorting/useTable.ts';
import { useWork } from '../workers/useWork.ts';
import { Working } from '../workers/Working.tsx';
import styles from './trees.module.css';
import studentStyles from './student.module.css';
import ui from '../app/parts.module.css';
import { dayLabel } from '../language/inWords.ts';

/** The trees of the course on a student's phone: what the instructor has opened of profiles, contrasts, key and recap. */
export default function Trees({ sitting }: { sitting: Sitting }) {
  const today = useQuery(sessionQuery).data?.today ?? '';
  return (
    <FieldDateProvider today={today}>
      <Open sitting={sitting} />
    </FieldDateProvider>
  );
}

function Open({ sitting }: { sitting: Sitting }) {
  const { query } = useLibrary();
  const { day } = useFieldDate();
  const view = useMemo<View>(
    () => ({ ...MEDIUM_VIEWS.cutting, day, qualifiers: { plantAge: 'mature' } }),
    [day],
  );
  const ground = useGround(sitting.courseId, view, 'intermediate');
  if (query.isError) return <Page title={t`Trees`}>{messageOf(query.error)}</Page>;
  if (!ground?.course)
    return (
      <Page title={t`Trees`}>
        <Trans>Opening…</Trans>
      </Page>
    );
  const opens = (part: Sitting['opens'][number]) => sitting.opens.includes(part);
  return (
    <Routes>
      <Route path="" element={<List ground={ground} opens={opens} />} />
      {opens('contrasts') && <Route path="contrast" element={<Contrast ground={ground} />} />}
      {opens('keys') && <Route path="key" element={<Key ground={ground} />} />}
      {opens('lessons') && <Route path="words" element={<Words ground={ground} />} />}
      {opens('lessons') && <Route path="call" element={<Call ground={ground} />} />}
      {opens('lessons') && <Route path="call/:about" element={<CallOne ground={ground} />} />}
      {opens('lessons') && <Route path="sort" element={<Sort ground={ground} />} />}
      {opens('lessons') && <Route path="lesson/:setId" element={<Lesson ground={ground} />} />}
      {opens('recap') && <Route path="recap/:setId" element={<Recap ground={ground} />} />}
      {opens('profiles') && <Route path=":taxonId" element={<Tree ground={ground} />} />}
      <Route
        path="*"
        element={
          <Page title={t`Trees`}>
            <Trans>This is not open to you now.</Trans>
          </Page>
        }
      />
    </Routes>
  );
}

function Page({
  title,
  back = '/trees',
  children,
}: {
  title: ReactNode;
  back?: string;
  children: ReactNode;
}) {
  return (
    <>
      <header className={studentStyles['phone-bar']}>
        <h1>{title}</h1>
        <Link className={ui['press']} to={back}>
          <Trans>Back</Trans>
        </Link>
      </header>
      <main className={studentStyles['pad']}>{children}</main>
    </>
  );
}

function List({ ground, opens }: { ground: Ground; opens(part: Sitting['opens'][number]): boolean }) {
  const { course, profiles } = ground;
  return (
    <Page title={t`Trees of the course`} back="/">
      {opens('contrasts') && (
        <Link className={`${ui['press']} ${studentStyles['wide-press']}`} to="/trees/contrast">
          <Trans>Two trees side by side</Trans>
        </Link>
      )}
      {opens('keys') && (
        <Link className={`${ui['press']} ${studentStyles['wide-press']}`} to="/trees/key">
          <Trans>Walk through a key</Trans>
        </Link>
      )}
      {opens('lessons') && (
        <Link className={`${ui['press']} ${studentStyles['wide-press']}`} to="/trees/sort">
          <Trans>Sort twelve twigs</Trans>
        </Link>
      )}
      {opens('lessons') && (
        <Link className={`${ui['press']} ${studentStyles['wide-press']}`} to="/trees/call">
          <Trans>Call what you see</Trans>
        </Link>
      )}
      {opens('lessons') && (
        <Link className={`${ui['press']} ${studentStyles['wide-press']}`} to="/trees/words">
          <Trans>The words we use</Trans>
        </Link>
      )}
      {course!.sets.map((set) => (
        <section key={set.id}>
          <h2>{set.title}</h2>
          <ul className={styles['list']}>
            {set.taxa
              .flatMap((id) => profiles.find(({ taxon }) => taxon.id === id) ?? [])
              .map((profiled) => (
                <li key={profiled.taxon.id}>
                  {opens('profiles') ? (
                    <Link to={`/trees/${profiled.taxon.id}`}>
                      <Names profiled={profiled} />
                      <Strip profiled={profiled} />
                    </Link>
                  ) : (
                    <Names profiled={profiled} />
                  )}
                </li>
              ))}
          </ul>
          {opens('recap') && (
            <Link to={`/trees/recap/${set.id}`}>
              <Trans>Recap of {set.title}</Trans>
            </Link>
          )}{' '}
          {opens('lessons') && (
            <Link to={`/trees/lesson/${set.id}`}>
              <Trans>Lesson of {set.title}</Trans>
            </Link>
          )}
        </section>
      ))}
    </Page>
  );
}

const Names = ({ profiled: { taxon } }: { profiled: ProfiledTaxon }) => (
  <span>
    {commonName(taxon)}
    <br />
    <Latin names={taxon} />
  </span>
);

/** Twigs to sort into two piles, and each pile again: drawn ones, or the real ones on the table by their tags. */
function Sort({ ground }: { ground: Ground }) {
  const course = ground.course!;
  const [isReal, setReal] = useState(false);
  const bag = useQuery(bagQuery(course.id)).data?.twigs ?? [];
  const taxa = useMemo(() => course.sets.flatMap((set) => set.taxa), [course]);
  const hasBag = bagProblem(bag) === undefined;
  return (
    <Page title={t`Sort`}>
      {hasBag && (
        <p className={styles['which']} role="group" aria-label={t`What is sorted`}>
          <button className={ui['press']} aria-pressed={!isReal} onClick={() => setReal(false)}>
            <Trans>Drawn twigs</Trans>
          </button>{' '}
          <button className={ui['press']} aria-pressed={isReal} onClick={() => setReal(true)}>
            <Trans>Those on the table</Trans>
          </button>
        </p>
      )}
      {taxa.length < 2 ? (
        <p>
          <Trans>There are no two trees on your list yet.</Trans>
        </p>
      ) : isReal && hasBag ? (
        <OwnTable key="real" ground={ground} from={{ taxa: treesOfBag(bag), real: bag }} where="real" />
      ) : (
        <OwnTable key="drawn" ground={ground} from={{ taxa }} where="own" />
      )}
    </Page>
  );
}

/** A student's table, kept as it lies; the instructor reads how it was sorted. */
function OwnTable({ ground, from, where }: { ground: Ground; from: LaidFrom; where: string }) {
  const { course, library, vocabulary, setting } = ground;
  const inUse = useTable(`${where}.${course!.id}`, from, setting.view.day, ({ id: sortId, ...body }) =>
    call('PUT /api/sit/sorts/{sortId}', { params: { sortId }, body }),
  );
  const list = useMemo(() => readLibrary(library).profilesOf(inUse.state.taxa), [library, inUse.state.taxa]);
  return (
    <>
      <SortTable course={course!} list={list} vocabulary={vocabulary} inUse={inUse} />
      <EarlierTables current={inUse.state.id} onOpen={inUse.open} />
      {inUse.problem && (
        <p role="status">
          <Trans>{inUse.problem} The table stays on this phone.</Trans>
        </p>
      )}
    </>
  );
}

/** Tables that were sorted before, on this phone or another. */
function EarlierTables({ current, onOpen }: { current: string; onOpen(table: TableState): void }) {
  const query = useQuery({ queryKey: ['sorts', 'own'], queryFn: () => call('GET /api/sit/sorts') });
  const earlier = (query.data?.sorts ?? []).filter(({ id }) => id !== current);
  if (earlier.length === 0) return null;
  return (
    <>
      <h2>
        <Trans>What you have sorted before</Trans>
      </h2>
      <ul className={styles['list']}>
        {earlier.map(({ at, revision: _revision, ...table }) => (
          <li key={table.id}>
            <button
              type="button"
              className={`${ui['press']} ${studentStyles['wide-press']}`}
              onClick={() => onOpen(table)}
            >
              {at.slice(0, 10)}, {sortSaid(sortDepth(table.piles))}
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}

/** Drawn specimens to call, one character or another. */
function Call({ ground }: { ground: Ground }) {
  return (
    <Page title={t`Call what you see`}>
      <Callings course={ground.course!} list={ground.setting.list} vocabulary={ground.vocabulary} />
    </Page>
  );
}

function CallOne({ ground }: { ground: Ground }) {
  return (
    <Page title={t`Call what you see`} back="/trees/call">
      <Calling course={ground.course!} list={ground.setting.list} vocabulary={ground.vocabulary} />
    </Page>
  );
}

/** What the words of the course mean. */
function Words({ ground }: { ground: Ground }) {
  const { course, vocabulary, setting } = ground;
  return (
    <Page title={t`The words we use`}>
      <Glossary course={course!} list={setting.list} vocabulary={vocabulary} />
    </Page>
  );
}

/** The lesson of a set after class: its points one under another. */
function Lesson({ ground }: { ground: Ground }) {
  const { setId = '' } = useParams();
  const course = ground.course!;
  const query = useQuery(lessonQuery(course.id, setId));
  if (query.isPending)
    return (
      <Page title={t`Lesson`}>
        <Trans>Opening the lesson…</Trans>
      </Page>
    );
  if (!query.data)
    return (
      <Page title={t`Lesson`}>
        <Trans>This lesson opens with its week. {messageOf(query.error)}</Trans>
      </Page>
    );
  const { title, week, stops } = query.data;
  const photos = { courseId: course.id, setId, all: query.data.photos, units: course.units };
  return (
    <Page title={title}>
      {stops.map((stop) => (
        <section key={stop.key} className={styles['point']}>
          <Sheet
            course={course}
            stop={stop}
            day={dayOfLesson(course, week)}
            shape="classic"
            photos={photos}
          />
        </section>
      ))}
    </Page>
  );
}

/** A tree organ by organ, drawn as it stands on the day. */
function Tree({ ground }: { ground: Ground }) {
  const { taxonId } = useParams();
  const { course, library, vocabulary, profiles, setting } = ground;
  const profiled = profiles.find(({ taxon }) => taxon.id === taxonId);
  const view = useMemo<View>(
    () => ({ ...setting.view, organs: ['twig', 'bud', 'leaf', 'fruit', 'bark'] }),
    [setting.view],
  );
  if (!profiled || !course)
    return (
      <Page title={t`Trees`}>
        <Trans>No such tree is on your list.</Trans>
      </Page>
    );
  const { taxon, scores } = profiled;
  return (
    <Page title={commonName(taxon)}>
      <p>
        <Latin names={taxon} /> · {taxon.family}
      </p>
      <SiteSpecimen
        library={library}
        course={course}
        profiled={profiled}
        view={view}
        width={362}
        height={330}
      />
      <p className="quiet">
        <Trans>The typical specimen as on {dayLabel(view.day)}, drawn from its scores.</Trans>
      </p>
      {taxon.memoryAid && <p>{taxon.memoryAid}</p>}
      <Cautions cautions={taxon.cautions} />
      {organsInOrder(course.startsWith).map(({ organ, title }) => {
        const said = [...vocabulary.values()]
          .filter((character) => character.organ === organ)
          .flatMap((character) =>
            scores
              .filter((score) => score.characterId === character.id)
              .map((score) => ({ character, score })),
          );
        if (said.length === 0) return null;
        return (
          <section className={styles['organ']} key={organ}>
            <h2>{title}</h2>
            {said.map(({ character, score }, i) => (
              <span key={`${character.id}${qualifiersInWords(score.qualifiers)}`}>
                {i > 0 && '; '}
                <b>{characterName(character, course.audience)}</b>{' '}
                {Object.keys(score.qualifiers).length > 0 && <i>{qualifiersInWords(score.qualifiers)}: </i>}
                {valueInWords(score.value, character, course.audience, course.units)}
              </span>
            ))}
            .
          </section>
        );
      })}
    </Page>
  );
}

function Contrast({ ground }: { ground: Ground }) {
  const [search, setSearch] = useSearchParams();
  const { course, library, profiles, setting } = ground;
  const ids = taxaAsked(search.get('taxa'));
  const chosen = [0, 1].map((i) => profiles.find(({ taxon }) => taxon.id === ids[i]));
  const [a, b] = chosen;
  return (
    <Page title={t`Side by side`}>
      <div className={styles['choice']}>
        {[0, 1].map((place) => (
          <select
            key={place}
            aria-label={t`${place === 0 ? t`First` : t`Second`} tree`}
            value={ids[place] ?? ''}
            onChange={(event) => setSearch({ taxa: withTaxonAt(ids, place, event.target.value).join(',') })}
          >
            <option value="">
              <Trans>choose a tree</Trans>
            </option>
            {setting.list.map(({ taxon }) => (
              <option key={taxon.id} value={taxon.id}>
                {commonName(taxon)}
              </option>
            ))}
          </select>
        ))}
      </div>
      {a && b && a !== b && (
        <div className={styles['wide']}>
          <ContrastView
            list={setting.list}
            a={a}
            b={b}
            view={setting.view}
            library={library}
            site={course}
            audience={course!.audience}
            units={course!.units}
            reading
          />
        </div>
      )}
    </Page>
  );
}

function Key({ ground }: { ground: Ground }) {
  const [round, setRound] = useState(0);
  const organs = [...new Set(organsInOrder(ground.course!.startsWith).map(({ organ }) => SHOWN_BY[organ]))];
  const work = useWork(['key', 'student', ...ground.inputs], (worker, progress) =>
    worker.key(ground.asked, { level: 'intermediate', manyLeads: false, banned: [], organs }, progress),
  );
  return (
    <Page title={t`Key`}>
      <Working work={work} what={t`Building the key…`} />
      {work.result && (
        <KeyWalk key={round} keyTo={work.result.key} ground={ground} leave={() => setRound(round + 1)} />
      )}
    </Page>
  );
}

/** What to remember of each tree of a set. */
function Recap({ ground }: { ground: Ground }) {
  const { setId } = useParams();
  const { course, profiles, asked, inputs } = ground;
  const set = course!.sets.find(({ id }) => id === setId);
  const taxa = set?.taxa ?? [];
  const work = useWork(['recap', taxa, ...inputs], (worker) => worker.recap(asked, taxa), taxa.length > 0);
  if (!set)
    return (
      <Page title={t`Recap`}>
        <Trans>There is no such set.</Trans>
      </Page>
    );
  return (
    <Page title={t`Recap: ${set.title}`}>
      <Working work={work} what={t`Looking for what singles each out…`} />
      <dl className={styles['marks']}>
        {(work.result ?? []).map((found) => {
          const profiled = profiles.find(({ taxon }) => taxon.id === found.taxonId);
          if (!profiled) return null;
          const { aid, marks } = againstSet(found, ground);
          return (
            <div key={found.taxonId}>
              <dt>{commonName(profiled.taxon)}</dt>
              <dd>
                {aid && <>{aid.text} </>}
                {marks.length ? marks.join('; ') : t`Nothing seen on a cutting singles it out.`}
              </dd>
            </div>
          );
        })}
      </dl>
    </Page>
  );
}
