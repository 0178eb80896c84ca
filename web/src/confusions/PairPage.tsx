import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { ConfusionData } from '@hurrow/contract/confusions';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { answerId } from '@hurrow/core/confusion';
import { contrast } from '@hurrow/core/evidence';
import { characterName } from '@hurrow/core/score';
import { commonName } from '@hurrow/core/taxon';
import { MEDIUM_TITLES } from '@hurrow/core/view';
import { upperFirst } from '@hurrow/core/words';
import { courseQuery, useLibrary, useVocabulary } from '../app/data.ts';
import { useFieldDate } from '../app/fieldDate.tsx';
import { useVasculum } from '../app/vasculum.tsx';
import { ContrastView } from '../lookalikes/ContrastView.tsx';
import { Reteach } from './Reteach.tsx';
import { useConfusions } from './useConfusions.ts';
import { LinkButton, Opening, PageHead } from '../app/parts.tsx';
import ui from '../app/parts.module.css';
import styles from './confusions.module.css';
import { viewsOf, type StationView } from './pairViews.ts';
import { inTongue } from '../language/inTongue.ts';
import { dayLabel, listInWords, viewInWords } from '../language/inWords.ts';

/** One confused pair: its contrast in each view that the stations had, and the answers behind the figures. */
export function PairPage({ courseId }: { courseId: string }) {
  const { aId = '', bId = '' } = useParams();
  const course = useQuery(courseQuery(courseId)).data;
  const { day, setDay } = useFieldDate();
  const [asThen, setAsThen] = useState(false);
  const { data, views, shown, choose, library, list, a, b, isChanged } = usePair(courseId, aId, bId, asThen);
  const view = useMemo(() => (shown ? { ...shown.view, day } : undefined), [shown, day]);
  if (!data || !library)
    return (
      <Opening>
        <Trans>Opening the pair…</Trans>
      </Opening>
    );
  if (!a || !b)
    return (
      <section className={ui['page']}>
        <h1>
          <Trans>No such pair</Trans>
        </h1>
        <p>
          <Trans>
            One of the two is not in the library.{' '}
            <Link to={`/c/${courseId}/confusions/pairs`}>Back to the pairs</Link>
          </Trans>
        </p>
      </section>
    );
  const audience = course?.audience ?? 'technical';
  return (
    <section className={ui['page']}>
      <PageHead title={t`${upperFirst(commonName(a.taxon))} or ${commonName(b.taxon)}?`}>
        <Link to={`/c/${courseId}/confusions/pairs`}>
          <Trans>All pairs</Trans>
        </Link>
      </PageHead>
      <div className={styles['pair-layout']}>
        <div>
          {shown && view ? (
            <>
              <ViewTabs views={views} shown={shown} onChoose={choose} />
              <ThatDay
                list={list}
                shown={shown}
                aId={aId}
                bId={bId}
                day={day}
                library={library}
                audience={audience}
                site={course}
                onGo={setDay}
              />
              <ContrastView
                list={list}
                a={a}
                b={b}
                view={view}
                library={library}
                site={course}
                audience={audience}
                units={course?.units ?? 'metric'}
              />
              <AsThen chosen={asThen} changed={isChanged} onChange={setAsThen} />
            </>
          ) : (
            <p>
              <Trans>No station of an opened quiz showed either of the two.</Trans>
            </p>
          )}
        </div>
        <aside className={styles['pair-answers']} aria-label={t`The answers behind it`}>
          <Reteach courseId={courseId} data={data} a={aId} b={bId} />
          <Answers data={data} aId={aId} bId={bId} names={[commonName(a.taxon), commonName(b.taxon)]} />
        </aside>
      </div>
    </section>
  );
}

/** The two trees of a pair as the library has or had them, with the views in which stations showed them. */
function usePair(courseId: string, aId: string, bId: string, asThen: boolean) {
  const { data, answers } = useConfusions(courseId);
  const course = useQuery(courseQuery(courseId)).data;
  const { lookAt } = useVasculum();
  const [chosen, choose] = useState(0);
  const views = useMemo(() => viewsOf(data, answers, aId, bId), [data, answers, aId, bId]);
  const shown = views[Math.min(chosen, views.length - 1)];
  const now = useLibrary();
  const past = useLibrary(asThen ? shown?.stations[0]?.revision : undefined);
  const { library, every, profileOf } = asThen ? past : now;
  useEffect(() => {
    lookAt(aId);
    return () => lookAt(undefined);
  }, [aId, lookAt]);
  const taught = course?.sets.flatMap((set) => set.taxa).join() ?? '';
  const list = useMemo(() => {
    const ids = new Set([...taught.split(','), aId, bId]);
    return every.filter(({ taxon }) => ids.has(taxon.id));
  }, [every, taught, aId, bId]);
  return {
    data,
    views,
    shown,
    choose,
    library,
    list,
    a: profileOf(aId),
    b: profileOf(bId),
    isChanged: library?.revision !== now.library?.revision,
  };
}

/** The views that stations had, each with how often the two were mixed up in it. */
function ViewTabs({
  views,
  shown,
  onChoose,
}: {
  views: readonly StationView[];
  shown: StationView;
  onChoose(i: number): void;
}) {
  return (
    <div className={styles['view-tabs']} role="group" aria-label={t`Views of the stations`}>
      {views.map((each, i) => (
        <button key={each.key} aria-pressed={each === shown} onClick={() => onChoose(i)}>
          {viewInWords(each.view)}{' '}
          <span className="quiet">
            <Trans>· {each.mixed} mixed up</Trans>
          </span>
        </button>
      ))}
    </div>
  );
}

interface AsThenProps {
  chosen: boolean;
  /** The library has changed since the quiz was opened. */
  changed: boolean;
  onChange(chosen: boolean): void;
}

const AsThen = ({ chosen, changed, onChange }: AsThenProps) => (
  <p>
    <label>
      <input type="checkbox" checked={chosen} onChange={(event) => onChange(event.target.checked)} />{' '}
      <Trans>
        With the scores as they stood when the quiz was opened
        {changed && chosen ? t` (the library has changed since)` : ''}
      </Trans>
    </label>
  </p>
);

type ContrastInputs = Pick<
  React.ComponentProps<typeof ContrastView>,
  'list' | 'library' | 'audience' | 'site'
>;

/** When the field date is not the day of the quiz: what would have settled it that day. */
function ThatDay({
  list,
  shown,
  aId,
  bId,
  day,
  library,
  audience,
  site,
  onGo,
}: ContrastInputs & { shown: StationView; aId: string; bId: string; day: number; onGo(day: number): void }) {
  const then = shown.view.day;
  const vocabulary = useVocabulary();
  const found = useMemo(
    () =>
      then === day
        ? undefined
        : contrast(list, aId, bId, vocabulary, shown.view, {
            reference: library.reference,
            ...(site ? { site } : {}),
          }),
    [then, day, list, aId, bId, shown, library, site, vocabulary],
  );
  if (!found)
    return (
      <p className="quiet">
        <Trans>As on the day of the quiz, {dayLabel(then)}.</Trans>
      </p>
    );
  const words = found.deciding.map((id) => characterName(vocabulary.get(id)!, audience));
  return (
    <p className="quiet">
      <Trans>
        On the day of the quiz, {dayLabel(then)},{' '}
        {words.length ? t`${listInWords(words)} would have settled it` : t`it was ${inTongue(found.verdict)}`}
        .
      </Trans>{' '}
      <LinkButton onClick={() => onGo(then)}>
        <Trans>Go to that day</Trans>
      </LinkButton>
    </p>
  );
}

function Answers({
  data,
  aId,
  bId,
  names,
}: {
  data: ConfusionData;
  aId: string;
  bId: string;
  names: [string, string];
}) {
  const stations = new Map(data.stations.map((station) => [station.id, station]));
  const quizzes = new Map(data.quizzes.map((quiz) => [quiz.id, quiz.title]));
  const ways = [
    { truth: aId, named: bId, title: t`${names[0]} called ${names[1]}` },
    { truth: bId, named: aId, title: t`${names[1]} called ${names[0]}` },
  ];
  return (
    <>
      <h2>
        <Trans>The answers behind it</Trans>
      </h2>
      {ways.map(({ truth, named, title }) => {
        const found = data.answers.filter(
          (answer) =>
            answer.named === named &&
            stations.get(answer.stationId)?.truth === truth &&
            !stations.get(answer.stationId)!.voided &&
            !stations.get(answer.stationId)!.leftOut,
        );
        return (
          <div key={truth}>
            <p className="quiet">
              {title}: {found.length}
            </p>
            <ul>
              {found.map((answer) => {
                const station = stations.get(answer.stationId)!;
                return (
                  <li key={answerId(answer)}>
                    <Trans>
                      <strong>{answer.student}</strong> wrote “{answer.written}”
                      <br />
                      <span className="quiet">
                        {quizzes.get(answer.quizId)}, station {station.position},{' '}
                        {inTongue(MEDIUM_TITLES[station.medium])}
                      </span>
                    </Trans>
                  </li>
                );
              })}
            </ul>
          </div>
        );
      })}
    </>
  );
}
