import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { KeptTree } from '@hurrow/contract/grounds';
import { Button, Checkbox, Input, InputNumber, Select } from 'antd';
import {
  CUTTINGS,
  HAZARDS,
  REACH_TITLES,
  REACHED_ORGANS,
  REACHES,
  SEXES,
  STAGES,
  type Cutting,
  type TreeFacts,
} from '@hurrow/core/grounds';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { SHOWN_TITLES } from '@hurrow/core/view';
import { call } from '../app/api.ts';
import { useLibrary } from '../app/data.ts';
import { Problem } from '../app/parts.tsx';
import { useSaving } from '../app/useSaving.ts';
import { BroughtBack } from '../drafts/BroughtBack.tsx';
import { useKept } from '../drafts/useKept.ts';
import { factsOf, girthsInWords, girthsOf } from './treeFields.ts';
import styles from './grounds.module.css';
import { inField } from '../language/inField.ts';

interface TreeFormProps {
  groundsId: string;
  tree: KeptTree;
  /** The place is to be shown on the map. */
  onMove(): void;
  onDone(): void;
  onLeave(): void;
}

const LEAVE: Record<Cutting, string> = { yes: t`may be cut from`, ask: t`ask first`, no: t`never cut` };
const options = (all: readonly string[]) => all.map((value) => ({ value, label: inField(value) }));

/** A tree as it is being changed, and how it is kept. */
function useTreeForm({ groundsId, tree, onDone }: Omit<TreeFormProps, 'onMove' | 'onLeave'>) {
  const facts = factsOf(tree);
  const kept = useKept(`tree/${tree.id}`, `Tree ${tree.tag || 'without a tag'}`, {
    ...facts,
    girthText: girthsInWords(facts.girths),
    // A draft does not pass over what somebody else has changed since.
    baseVersion: tree.version,
  });
  const { save, saving, problem } = useSaving();
  // The map gives the place anew while the form is open.
  const value = { ...kept.value, latitude: tree.latitude, longitude: tree.longitude };
  const set = (part: Partial<typeof value>) => kept.set((before) => ({ ...before, ...part }));
  const girths = girthsOf(value.girthText);
  const keep = () => {
    if (!girths.ok) return;
    const { girthText: _text, ...rest } = value;
    const body = { ...rest, tag: rest.tag.trim(), girths: girths.value };
    void save(
      () =>
        call('PUT /api/grounds/{groundsId}/trees/{treeId}', { params: { groundsId, treeId: tree.id }, body }),
      {
        stale: [['grounds']],
        done: () => {
          kept.forget();
          onDone();
        },
      },
    );
  };
  return { kept, value, set, keep, saving, wrong: girths.ok ? problem : girths.problem };
}

type Form = Pick<ReturnType<typeof useTreeForm>, 'value' | 'set'>;

/** What is known of a tree, to be changed. */
export function TreeForm({ groundsId, tree, onMove, onDone, onLeave }: TreeFormProps) {
  const { kept, value, set, keep, saving, wrong } = useTreeForm({ groundsId, tree, onDone });
  const form = { value, set };
  return (
    <form
      className={styles['form']}
      aria-label={tree.version > 0 ? t`Change ${tree.tag}` : t`A new tree`}
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <h2>{tree.version > 0 ? t`Change ${tree.tag}` : t`A new tree`}</h2>
      <div className={styles['wide']}>
        <BroughtBack at={kept.broughtBack} onGiveUp={kept.forget} />
      </div>
      <Text {...form} label={t`Tag`} name="tag" most={40} />
      <SpeciesSelect taxonId={value.taxonId} onTaxon={(taxonId) => set({ taxonId })} />
      <Text {...form} label={t`Name confirmed by`} name="confirmedBy" most={80} />
      <p className={styles['wide']}>
        {tree.latitude.toFixed(6)}, {tree.longitude.toFixed(6)}{' '}
        <Button size="small" onClick={onMove}>
          <Trans>Show its place on the map</Trans>
        </Button>
      </p>
      <LeaveFields {...form} />
      <SizeFields {...form} />
      <StandsFields {...form} />
      {wrong && <Problem>{wrong}</Problem>}
      <p className={styles['does']}>
        <Button type="primary" htmlType="submit" loading={saving} disabled={value.tag.trim() === ''}>
          <Trans>Keep the tree</Trans>
        </Button>
        <Button
          onClick={() => {
            kept.forget();
            onLeave();
          }}
        >
          <Trans>Leave it as it was</Trans>
        </Button>
      </p>
    </form>
  );
}

interface TextProps extends Form {
  label: string;
  name: 'tag' | 'confirmedBy' | 'access' | 'permission' | 'note';
  most: number;
}

const Text = ({ value, set, label, name, most }: TextProps) => (
  <label>
    {label}
    <Input value={value[name]} maxLength={most} onChange={(event) => set({ [name]: event.target.value })} />
  </label>
);

interface MetresProps extends Form {
  label: string;
  name: 'height' | 'spread' | 'elevation';
  most: number;
}

const Metres = ({ value, set, label, name, most }: MetresProps) => (
  <label>
    {label}
    <InputNumber value={value[name]} min={0} max={most} onChange={(next) => set({ [name]: next })} />
  </label>
);

/** Whether it may be cut, who says so and until when, and what is in reach. */
const LeaveFields = ({ value, set }: Form) => (
  <>
    <Choice
      label={t`May be cut`}
      value={value.cutting}
      all={CUTTINGS}
      words={LEAVE}
      onChange={(cutting) => set({ cutting })}
    />
    <Text {...{ value, set }} label={t`Leave given by, or to be asked`} name="permission" most={200} />
    <label>
      <Trans>Leave until</Trans>
      <Input
        type="date"
        value={value.until ?? ''}
        onChange={(event) => set({ until: event.target.value || null })}
      />
    </label>
    <Reaches reach={value.reach} onReach={(reach) => set({ reach })} />
  </>
);

const SizeFields = ({ value, set }: Form) => (
  <>
    <label>
      <Trans>Girth of each stem, cm</Trans>
      <Input
        value={value.girthText}
        placeholder="60 + 80"
        onChange={(event) => set({ girthText: event.target.value })}
      />
    </label>
    <Metres {...{ value, set }} label={t`Height, m`} name="height" most={130} />
    <Metres {...{ value, set }} label={t`Crown spread, m`} name="spread" most={80} />
    <Metres {...{ value, set }} label={t`Elevation, m`} name="elevation" most={9000} />
  </>
);

/** How it stands, what is to be minded there, and how one comes to it. */
const StandsFields = ({ value, set }: Form) => (
  <>
    <Choice label={t`Stage`} value={value.stage} all={STAGES} onChange={(stage) => set({ stage })} />
    <Choice label={t`Sex of its flowers`} value={value.sex} all={SEXES} onChange={(sex) => set({ sex })} />
    <Text {...{ value, set }} label={t`Access`} name="access" most={300} />
    <label>
      <Trans>Hazards</Trans>
      <Select
        mode="multiple"
        value={value.hazards}
        options={options(HAZARDS)}
        onChange={(hazards) => set({ hazards })}
      />
    </label>
    <Text {...{ value, set }} label={t`Note`} name="note" most={1000} />
    <Checkbox checked={value.stepFree} onChange={(event) => set({ stepFree: event.target.checked })}>
      <Trans>Reached without a step, on firm ground</Trans>
    </Checkbox>
  </>
);

function SpeciesSelect({ taxonId, onTaxon }: { taxonId: string | null; onTaxon(id: string | null): void }) {
  const { profiles } = useLibrary();
  return (
    <label>
      <Trans>Species</Trans>
      <Select
        showSearch
        allowClear
        placeholder={t`not named yet`}
        value={taxonId ?? undefined}
        optionFilterProp="label"
        onChange={(id: string | undefined) => onTaxon(id ?? null)}
        options={profiles.map(({ taxon }) => ({
          value: taxon.id,
          label: `${commonName(taxon)}, ${scientificName(taxon)}`,
        }))}
      />
    </label>
  );
}

interface ChoiceProps<T extends string> {
  label: string;
  value: T;
  all: readonly T[];
  words?: Record<T, string>;
  onChange(value: T): void;
}

const Choice = <T extends string>({ label, value, all, words, onChange }: ChoiceProps<T>) => (
  <label>
    {label}
    <Select<T>
      value={value}
      options={all.map((each) => ({ value: each, label: words?.[each] ?? inField(each) }))}
      onChange={(next) => onChange(next)}
    />
  </label>
);

type Reached = TreeFacts['reach'];

const Reaches = ({ reach, onReach }: { reach: Reached; onReach(reach: Reached): void }) => (
  <fieldset className={styles['wide']}>
    <legend>
      <Trans>Reach</Trans>
    </legend>
    {REACHED_ORGANS.map((organ) => (
      <label key={organ}>
        {inField(SHOWN_TITLES[organ])}
        <Select
          allowClear
          placeholder={t`not looked for`}
          value={reach[organ]}
          options={REACHES.map((each) => ({ value: each, label: inField(REACH_TITLES[each]) }))}
          onChange={(next: Reached[typeof organ]) => {
            const { [organ]: _before, ...rest } = reach;
            onReach(next ? { ...rest, [organ]: next } : rest);
          }}
        />
      </label>
    ))}
  </fieldset>
);
