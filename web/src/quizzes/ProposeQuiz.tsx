import { t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import { Button, InputNumber } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { ASKED_TITLES, STATION_KINDS } from '@hurrow/core/assembly';
import { commonName } from '@hurrow/core/taxon';
import { useLibrary } from '../app/data.ts';
import { LinkButton, Problem } from '../app/parts.tsx';
import { gaveUpInWords } from './gaveUp.ts';
import { keptOut, withKind, type Wanted } from './proposed.ts';
import type { useProposal } from './useProposal.ts';
import { decimal } from '../language/inWords.ts';
import styles from './propose.module.css';
import { inTongue } from '../language/inTongue.ts';

interface ProposeQuizProps {
  course: WholeCourse;
  proposal: ReturnType<typeof useProposal>;
  /** There is a plan already: what is proposed takes its place, but for what is kept. */
  again: boolean;
}

/** What a tree is called, by its id. */
function useNameOf(): (id: string) => string {
  const { profileOf } = useLibrary();
  return (id) => {
    const found = profileOf(id);
    return found ? commonName(found.taxon) : id;
  };
}

/** Another form as hard, for those who sit the quiz at another time. */
function SecondForm({ proposal, courseId }: { proposal: ProposeQuizProps['proposal']; courseId: string }) {
  const [made, setMade] = useState<Awaited<ReturnType<typeof proposal.second>>>();
  const nameOf = useNameOf();
  if (made)
    return (
      <span>
        <Link to={`/c/${courseId}/quizzes/${made.id}/plan`}>
          <Trans>The second form is saved beside this plan.</Trans>
        </Link>{' '}
        {gaveUpInWords(made.answer, made.wishes, nameOf).join(' ')}
      </span>
    );
  return (
    <LinkButton disabled={proposal.proposing} onClick={() => void proposal.second().then(setMade)}>
      <Trans>Make a second form, as hard</Trans>
    </LinkButton>
  );
}

const FAIR: [number, string][] = [
  [0.9, t`nine in ten careful readers`],
  [0.75, t`three in four careful readers`],
];
/** How hard a quiz is to be, by the share that is expected to be right. */
const BANDS: [readonly [number, number], string][] = [
  [[0, 1], t`as hard as it comes`],
  [[0.8, 1], t`easy: over 80 % expected right`],
  [[0.65, 0.8], t`middling: 65 to 80 %`],
  [[0.45, 0.65], t`hard: 45 to 65 %`],
];
const AIMS: [number, string][] = [
  [0, t`for a fair mark alone`],
  [0.3, t`for a fair mark, and to learn what they overlook`],
  [0.7, t`above all to learn what they overlook`],
];

/** How many stations, how fair, to what end, how hard. */
const Sentence = ({ wanted, set }: { wanted: Wanted; set(part: Partial<Wanted>): void }) => (
  <div className={styles['sentence']}>
    <InputNumber
      aria-label={t`Stations`}
      className={styles['number']}
      min={1}
      max={80}
      precision={0}
      value={wanted.stations}
      onChange={(stations) => stations !== null && set({ stations })}
    />{' '}
    <Trans>
      stations, each to be told by{' '}
      <Choice label={t`How fair`} options={FAIR} value={wanted.fair} onChange={(fair) => set({ fair })} />,{' '}
      <Choice
        label={t`To what end`}
        options={AIMS}
        value={wanted.toLearn}
        onChange={(toLearn) => set({ toLearn })}
      />
      ,{' '}
      <Choice
        label={t`How hard`}
        options={BANDS.map(([, words], i) => [i, words])}
        value={BANDS.findIndex(([[low]]) => low === wanted.expected[0])}
        onChange={(i) => set({ expected: BANDS[i]![0] })}
      />
      ; at least{' '}
      <Few
        label={t`Of pairs they mix up`}
        value={wanted.mixedUp}
        most={wanted.stations}
        onChange={(mixedUp) => set({ mixedUp })}
      />{' '}
      of pairs they mix up and{' '}
      <Few
        label={t`Examined before`}
        value={wanted.again}
        most={wanted.stations}
        onChange={(back) => set({ again: back })}
      />{' '}
      examined before.
    </Trans>
  </div>
);

/** What is wanted of a quiz, as a sentence whose parts are changed in place, and what came of it. */
export function ProposeQuiz({ course, proposal, again }: ProposeQuizProps) {
  const { wanted, want, proposed, propose, proposing, problem, bans, allowAll, takeBack } = proposal;
  const set = (part: Partial<Wanted>) => want({ ...wanted, ...part });
  return (
    <section className={styles['propose']} aria-label={t`Propose a quiz`}>
      <Sentence wanted={wanted} set={set} />
      <Chosen
        label={t`Sets`}
        all={course.sets.filter(({ taxa }) => taxa.length > 0)}
        chosen={wanted.sets}
        onToggle={(id) =>
          set({
            sets: wanted.sets.includes(id) ? wanted.sets.filter((each) => each !== id) : [...wanted.sets, id],
          })
        }
      />
      <Chosen
        label={t`Shown as`}
        all={STATION_KINDS.map(({ id, title }) => ({ id, title: inTongue(title) }))}
        chosen={wanted.kinds}
        onToggle={(id) => set({ kinds: withKind(wanted.kinds, id) })}
      />
      <AskedFor asked={wanted.asked} most={wanted.stations} onChange={(asked) => set({ asked })} />
      <p className={styles['does']}>
        <Button
          type="primary"
          loading={proposing}
          disabled={wanted.sets.length === 0}
          onClick={() => void propose()}
        >
          {again ? t`Propose again` : t`Propose the quiz`}
        </Button>
        {again && (
          <span className="quiet">
            {proposal.keeps
              ? t`What is kept, added or changed by hand stays.`
              : t`What stands here gives way to the proposal.`}
          </span>
        )}
        {takeBack && (
          <LinkButton onClick={takeBack}>
            <Trans>Put back what stood here before</Trans>
          </LinkButton>
        )}
        {again && <SecondForm proposal={proposal} courseId={course.id} />}
        {bans.length > 0 && (
          <LinkButton onClick={allowAll}>
            <Trans>Allow again what was taken out ({bans.length})</Trans>
          </LinkButton>
        )}
      </p>
      {problem && <Problem>{problem}</Problem>}
      {proposed && !proposing && <Came proposed={proposed} />}
    </section>
  );
}

/** What could not be had, and what of the list cannot be shown that day. */
function Came({ proposed }: { proposed: NonNullable<ProposeQuizProps['proposal']['proposed']> }) {
  const { notPossible, worth, bound, candidates } = proposed;
  const gaveUp = gaveUpInWords(proposed, proposed.wishes, useNameOf());
  const gap = Math.max(0, bound - worth);
  return (
    <>
      {gaveUp.length > 0 && (
        <ul className={`${styles['relaxed']} gold`}>
          {gaveUp.map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ul>
      )}
      <details className="quiet">
        <summary>
          <Trans>
            Chosen from <Plural value={candidates.length} one="# station" other="# stations" /> that could be
            set;{' '}
            {gap < 0.01
              ? t`none would be better by these wishes`
              : t`at most ${decimal((100 * gap) / bound, 1)} % better could be`}
          </Trans>
        </summary>
        <ul>
          {keptOut(notPossible).map((sentence) => (
            <li key={sentence}>{sentence}.</li>
          ))}
        </ul>
      </details>
    </>
  );
}

const ASKED = ['choose', 'family', 'genus', 'state', 'settles', 'number'] as const;

/** How many of the stations ask for something else than the name, written. */
function AskedFor({
  asked,
  most,
  onChange,
}: {
  asked: Wanted['asked'];
  most: number;
  onChange(asked: Wanted['asked']): void;
}) {
  const others = ASKED.reduce((sum, kind) => sum + (asked[kind] ?? 0), 0);
  return (
    <details>
      <summary>
        {others === 0
          ? t`All ask for the name.`
          : t`${others} ask for something else than a written name: ${ASKED.filter((kind) => asked[kind])
              .map((kind) => t`${asked[kind] ?? 0} for ${inTongue(ASKED_TITLES[kind])}`)
              .join(', ')}.`}
      </summary>
      <div className={styles['others']}>
        {ASKED.map((kind) => (
          <label key={kind}>
            <Few
              label={t`Stations that ask for ${inTongue(ASKED_TITLES[kind])}`}
              value={asked[kind] ?? 0}
              most={most}
              onChange={(count) => onChange({ ...asked, [kind]: count })}
            />{' '}
            <Trans>for {inTongue(ASKED_TITLES[kind])}</Trans>
          </label>
        ))}
      </div>
    </details>
  );
}

interface ChoiceProps {
  label: string;
  options: readonly [number, string][];
  value: number;
  onChange(value: number): void;
}

const Choice = ({ label, options, value, onChange }: ChoiceProps) => (
  <select aria-label={label} value={value} onChange={(event) => onChange(Number(event.target.value))}>
    {options.map(([each, words]) => (
      <option key={each} value={each}>
        {words}
      </option>
    ))}
  </select>
);

const Few = ({
  label,
  value,
  most,
  onChange,
}: {
  label: string;
  value: number;
  most: number;
  onChange(value: number): void;
}) => (
  <select aria-label={label} value={value} onChange={(event) => onChange(Number(event.target.value))}>
    {Array.from({ length: most + 1 }, (_, i) => (
      <option key={i}>{i}</option>
    ))}
  </select>
);

interface ChosenProps {
  label: string;
  all: readonly { id: string; title: string }[];
  chosen: readonly string[];
  onToggle(id: string): void;
}

const Chosen = ({ label, all, chosen, onToggle }: ChosenProps) => (
  <p className={styles['chosen']} role="group" aria-label={label}>
    <span>{label}</span>
    {all.map(({ id, title }) => (
      <button key={id} type="button" aria-pressed={chosen.includes(id)} onClick={() => onToggle(id)}>
        {title}
      </button>
    ))}
  </p>
);
