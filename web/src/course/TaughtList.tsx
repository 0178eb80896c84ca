import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import { App, Button, Input, InputNumber, Select } from 'antd';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { call } from '../app/api.ts';
import { useLibrary, useNamesIn } from '../app/data.ts';
import { BroughtBack } from '../drafts/BroughtBack.tsx';
import styles from './taughtList.module.css';
import { LinkButton, Problem } from '../app/parts.tsx';
import courseStyles from './course.module.css';
import { STALE, useSaving } from '../app/useSaving.ts';
import { moved } from '../app/moved.ts';
import type { Draft } from './gathered.ts';
import { useListDraft } from './useListDraft.ts';

/** The taught list in sets, edited as a whole and saved at once. */
export default function TaughtList({ course }: { course: WholeCourse }) {
  const { profiles, profileOf } = useLibrary();
  const { message } = App.useApp();
  const draft = useListDraft(course);
  const { sets, set: setSets } = draft;
  const { save, saving, problem } = useSaving();
  const listed = new Set(sets.flatMap((set) => set.taxa));
  const change = (i: number, part: Partial<Draft>) =>
    setSets(sets.map((set, k) => (k === i ? { ...set, ...part } : set)));
  const move = (i: number, by: number) => {
    setSets(moved(sets, i, by));
  };
  const saveList = () =>
    save(
      () => call('PUT /api/courses/{courseId}/list', { params: { courseId: course.id }, body: { sets } }),
      {
        done: () => {
          draft.saved();
          void message.success(t`The list is saved.`);
        },
        stale: [STALE.course(course.id)],
      },
    );
  const name = (id: string) => {
    const found = profileOf(id);
    return found ? commonName(found.taxon) : id;
  };
  const free = profiles
    .filter(({ taxon }) => !listed.has(taxon.id))
    .map(({ taxon }) => ({ value: taxon.id, label: `${commonName(taxon)} (${scientificName(taxon)})` }));
  return (
    <>
      <ListHead listed={[...listed]} units={course.units} />
      <BroughtBack at={draft.broughtBack} onGiveUp={draft.giveUp} />
      <div className={styles['board']}>
        {sets.map((set, i) => (
          <OneSet
            key={i}
            set={set}
            place={{ i, of: sets.length }}
            weeks={course.weeks}
            nameOf={name}
            free={free}
            onChange={(part) => change(i, part)}
            onMove={(by) => move(i, by)}
            onRemove={() => setSets(sets.filter((_, k) => k !== i))}
          />
        ))}
      </div>
      {problem && <Problem>{problem}</Problem>}
      <Button onClick={() => setSets([...sets, { title: t`Set ${sets.length + 1}`, week: null, taxa: [] }])}>
        <Trans>Add a set</Trans>
      </Button>{' '}
      <Button type="primary" loading={saving} onClick={() => void saveList()}>
        <Trans>Save the list</Trans>
      </Button>
    </>
  );
}

/** How a list is made, and its cards to print. */
function ListHead({ listed, units }: { listed: readonly string[]; units: WholeCourse['units'] }) {
  const namesIn = useNamesIn();
  const names = namesIn ? `&names=${namesIn}` : '';
  return (
    <p className="quiet">
      <Trans>About five species a set, easy splits first. The order here is the teaching order.</Trans>
      {listed.length > 0 && (
        <>
          {' '}
          <Trans>
            Cards to learn with, the drawing in front and the name behind:{' '}
            {(['letter', 'a4'] as const).map((paper, i) => (
              <span key={paper}>
                {i > 0 && ' · '}
                <a
                  href={`/api/prints/cards.pdf?paper=${paper}&units=${units}&taxa=${listed.join(',')}${names}`}
                  target="_blank"
                  rel="noreferrer"
                >
                  {paper === 'a4' ? 'A4' : t`Letter`}
                </a>
              </span>
            ))}
            .
          </Trans>
        </>
      )}
    </p>
  );
}

interface OneSetProps {
  set: Draft;
  place: { i: number; of: number };
  weeks: number;
  nameOf(id: string): string;
  /** Species that stand in no set yet. */
  free: { value: string; label: string }[];
  onChange(part: Partial<Draft>): void;
  onMove(by: 1 | -1): void;
  onRemove(): void;
}

/** A set: its title and week, what is in it, what may be added, and its place among the others. */
function OneSet({ set, place: { i, of }, weeks, nameOf, free, onChange, onMove, onRemove }: OneSetProps) {
  return (
    <fieldset className={styles['set']}>
      <legend className="visually-hidden">
        <Trans>Set {i + 1}</Trans>
      </legend>
      <Input
        aria-label={t`Title of set ${i + 1}`}
        value={set.title}
        onChange={(event) => onChange({ title: event.target.value })}
        className={styles['title']!}
      />
      <div className={styles['line']}>
        <label>
          <Trans>in week</Trans>{' '}
          <InputNumber
            aria-label={t`Week of set ${i + 1}`}
            size="small"
            min={1}
            max={weeks}
            value={set.week}
            onChange={(week) => onChange({ week })}
            className={styles['week']!}
          />
        </label>
        <LinkButton disabled={i === 0} onClick={() => onMove(-1)}>
          <Trans>earlier</Trans>
        </LinkButton>
        <LinkButton disabled={i === of - 1} onClick={() => onMove(1)}>
          <Trans>later</Trans>
        </LinkButton>
        <LinkButton onClick={onRemove}>
          <Trans>remove the set</Trans>
        </LinkButton>
      </div>
      <ul className={courseStyles['set-taxa']}>
        {set.taxa.map((id) => (
          <li key={id}>
            {nameOf(id)}
            <button
              aria-label={t`Take ${nameOf(id)} out of ${set.title}`}
              onClick={() => onChange({ taxa: set.taxa.filter((other) => other !== id) })}
            >
              ×
            </button>
          </li>
        ))}
      </ul>
      <Select
        showSearch={{ optionFilterProp: 'label' }}
        aria-label={t`Add a species to ${set.title || t`set ${i + 1}`}`}
        placeholder={t`Add a species`}
        value={null}
        className={styles['add']!}
        onChange={(id: string | null) => id && onChange({ taxa: [...set.taxa, id] })}
        options={free}
      />
    </fieldset>
  );
}
