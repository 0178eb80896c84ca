import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import type { LibraryAnswer } from '@hurrow/contract/library';
import type { Quiz } from '@hurrow/contract/quizzes';
import { Button, Input, Select } from 'antd';
import { useMemo } from 'react';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { kindOf } from '@hurrow/core/assembly';
import { readLibrary } from '@hurrow/core/library';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { MEDIUM_TITLES } from '@hurrow/core/view';
import { useLibrary } from '../app/data.ts';
import { LinkButton, Notice, Problem } from '../app/parts.tsx';
import { BroughtBack } from '../drafts/BroughtBack.tsx';
import { anotherSeed, askingWentBy, stationOf, type Planned } from './planned.ts';
import styles from './quizzes.module.css';
import { Covers } from './Covers.tsx';
import { LookedOver } from './LookedOver.tsx';
import { Naming } from './Naming.tsx';
import { QuestionPicker } from './QuestionPicker.tsx';
import { alternativesFor, plannedOf } from './proposed.ts';
import { ProposeQuiz } from './ProposeQuiz.tsx';
import { useProposal } from './useProposal.ts';
import propose from './propose.module.css';
import { PlanStations } from './PlanStations.tsx';
import { StationSpecimen } from './StationSpecimen.tsx';
import { usePlan } from './usePlan.ts';
import { ViewEditor } from './ViewEditor.tsx';
import { inTongue } from '../language/inTongue.ts';

/** Plans a quiz by picking taxa, view and medium; says of each station what stands against it. */
export function PlanPage({ course, quiz }: { course: WholeCourse; quiz: Quiz | undefined }) {
  const { library, profileOf } = useLibrary();
  const plan = usePlan(course, quiz);
  const proposal = useProposal(course, plan);
  const fixed = quiz !== undefined && quiz.state !== 'planned';
  const list = useMemo(
    () =>
      library
        ? readLibrary(library)
            .profilesOf(course.sets.flatMap((set) => set.taxa))
            .filter(({ taxon }) => !taxon.retired)
        : [],
    [library, course],
  );
  if (!library)
    return (
      <p>
        <Trans>Opening…</Trans>
      </p>
    );
  const { so } = proposal.proposed ?? {};
  const shown = plan.stations[plan.shown];
  const profiled = shown && profileOf(shown.taxonId);
  return (
    <LookedOver {...{ course, quiz, plan, library, list, mixedUp: so?.mixedUp }}>
      <div className={styles['plan']}>
        <div>
          <Head plan={plan} fixed={fixed} />
          {!fixed && list.length > 1 && (
            <ProposeQuiz course={course} proposal={proposal} again={plan.stations.length > 0} />
          )}
          <PlanStations {...{ plan, proposal, fixed, list, library, course }} />
          {plan.stations.length === 0 && (
            <p className="quiet">
              <Trans>No stations yet. Add the first species below.</Trans>
            </p>
          )}
          {!fixed && plan.stations.length > 0 && (
            <AskingWentBy stations={plan.stations} onChange={plan.setStations} />
          )}
          {!fixed && <Adding plan={plan} list={list} removable={quiz !== undefined} />}
        </div>
        <aside className={styles['plan-view']}>
          {shown && profiled && (
            <>
              <Shown {...{ plan, profiled, library, course, fixed, list }} />
              {!fixed && proposal.proposed && (
                <Swap plan={plan} station={shown} proposal={proposal} list={list} />
              )}
            </>
          )}
          {plan.stations.length > 0 && (
            <Covers
              {...{ course, so }}
              stations={plan.stations}
              onOrder={fixed ? undefined : plan.setStations}
            />
          )}
        </aside>
      </div>
    </LookedOver>
  );
}

/** For the whole quiz: whether students are asked what they went by. */
function AskingWentBy({ stations, onChange }: { stations: Planned[]; onChange(stations: Planned[]): void }) {
  const asking = stations.filter(({ wentBy, question }) => wentBy && !question).length;
  return (
    <p className="quiet">
      {asking > 0
        ? t`“What did you go by?” is asked at ${plural(asking, { one: '# station', other: '# stations' })}. `
        : t`No station asks “What did you go by?”: names alone do not show which character is overlooked. `}
      <LinkButton onClick={() => onChange(askingWentBy(stations, true))}>
        <Trans>Ask at every third</Trans>
      </LinkButton>
      {asking > 0 && (
        <>
          {' · '}
          <LinkButton onClick={() => onChange(askingWentBy(stations, false))}>
            <Trans>Ask at none</Trans>
          </LinkButton>
        </>
      )}
    </p>
  );
}

type Planning = ReturnType<typeof usePlan>;

interface SwapProps {
  plan: Planning;
  station: Planned;
  proposal: ReturnType<typeof useProposal>;
  list: readonly ProfiledTaxon[];
}

/** What could stand in its place, the best first. */
function Swap({ plan, station, proposal, list }: SwapProps) {
  const { proposed, wanted } = proposal;
  const found = alternativesFor(station, plan.stations, { ...proposed!, wanted });
  const nameOf = (id: string) => commonName(list.find(({ taxon }) => taxon.id === id)!.taxon);
  if (found.length === 0) return null;
  return (
    <>
      <h3>
        <Trans>In its place</Trans>
      </h3>
      <ul className={propose['swap']}>
        {found.map((each) => (
          <li key={each.id}>
            <LinkButton
              onClick={() =>
                plan.change(plan.shown, { asks: [], prompt: null, question: null, ...plannedOf(each) })
              }
            >
              {nameOf(each.taxonId)}
            </LinkButton>
            , {inTongue(kindOf(each.kind)!.title)}{' '}
            <span className="quiet">
              <Trans>{Math.round(100 * each.right)} of 100</Trans>
            </span>
          </li>
        ))}
      </ul>
    </>
  );
}

function Head({ plan, fixed }: { plan: Planning; fixed: boolean }) {
  const { title, heldOn } = plan;
  return (
    <>
      <div className={styles['plan-head']}>
        <label>
          <Trans>Title</Trans>{' '}
          <Input
            aria-label={t`Title`}
            value={title}
            disabled={fixed}
            onChange={(event) => plan.write({ title: event.target.value })}
            className={styles['title']}
          />
        </label>
        <label>
          <Trans>Held on</Trans>{' '}
          <Input
            aria-label={t`Held on`}
            type="date"
            value={heldOn}
            disabled={fixed}
            onChange={(event) => plan.write({ heldOn: event.target.value || heldOn })}
            className={styles['day']}
          />
        </label>
      </div>
      <BroughtBack at={plan.broughtBack} onGiveUp={plan.giveUp} />
      {fixed && (
        <Notice>
          <Trans>
            This quiz has been opened. Its stations, names and drawings are fixed as they were then; edits of
            the library do not reach them.
          </Trans>
        </Notice>
      )}
    </>
  );
}

/** More stations, and saving. */
function Adding({
  plan,
  list,
  removable,
}: {
  plan: Planning;
  list: readonly ProfiledTaxon[];
  removable: boolean;
}) {
  return (
    <>
      <Select
        showSearch={{ optionFilterProp: 'label' }}
        aria-label={t`Add a station`}
        placeholder={t`Add a station: choose its species`}
        value={null}
        className={styles['add']}
        onChange={(id: string | null) => id && plan.add(id)}
        notFoundContent={t`No species of the course’s list has this name.`}
        options={list.map(({ taxon }) => ({
          value: taxon.id,
          label: `${commonName(taxon)} (${scientificName(taxon)})`,
        }))}
      />{' '}
      <Button
        disabled={plan.stations.length > 0 || list.length === 0}
        onClick={() => plan.setStations(list.map(({ taxon }) => stationOf(taxon.id, plan.day)))}
      >
        <Trans>One of each on the list</Trans>
      </Button>
      {plan.problem && <Problem>{plan.problem}</Problem>}
      <p className={styles['plan-foot']}>
        <Button type="primary" loading={plan.saving} onClick={() => void plan.savePlan()}>
          <Trans>Save the plan</Trans>
        </Button>{' '}
        {removable && (
          <Button onClick={() => void plan.drop()}>
            <Trans>Remove this quiz</Trans>
          </Button>
        )}
      </p>
    </>
  );
}

/** The station that is open: what of it is shown, what is asked, and the specimen. */
function Shown({
  plan,
  profiled,
  library,
  course,
  fixed,
  list,
}: {
  plan: Planning;
  profiled: ProfiledTaxon;
  library: LibraryAnswer;
  course: WholeCourse;
  fixed: boolean;
  list: readonly ProfiledTaxon[];
}) {
  const at = plan.shown;
  const options = useMemo(() => ({ reference: library.reference, site: course }), [library, course]);
  const planned = plan.stations[at]!;
  const view = useMemo(() => ({ ...planned.view, day: plan.day }), [planned.view, plan.day]);
  const station = { ...planned, view };
  return (
    <>
      <h2>
        <Trans>
          Station {at + 1}: {commonName(profiled.taxon)}
        </Trans>
      </h2>
      <ViewEditor station={planned} fixed={fixed} onChange={(view) => plan.change(at, { view })} />
      <QuestionPicker
        station={station}
        profiled={profiled}
        list={list}
        options={options}
        fixed={fixed}
        onChange={(question) =>
          plan.change(at, question ? { question, asks: [], prompt: null } : { question })
        }
      />
      {!planned.question && (
        <Naming
          station={station}
          profiled={profiled}
          options={options}
          fixed={fixed}
          onChange={(part) => plan.change(at, part)}
        />
      )}
      {planned.medium === 'drawing' ? (
        <StationSpecimen
          library={library}
          course={course}
          profiled={profiled}
          list={list}
          station={station}
          onAnother={fixed ? undefined : () => plan.change(at, { seed: anotherSeed() })}
        />
      ) : (
        <p className="quiet">
          <Trans>
            Students look at the {inTongue(MEDIUM_TITLES[planned.medium])} itself; their phones say at which
            station, and show
            {planned.medium === 'photo' ? t` the photo of the library that may leave it.` : t` no drawing.`}
          </Trans>
        </p>
      )}
    </>
  );
}
