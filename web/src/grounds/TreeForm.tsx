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

interface TreeFormProps {
  groundsId: string;
  tree: KeptTree;
  /** The place is to be shown on the map. */
  onMove(): void;
  onDone(): void;
  onLeave(): void;
}

const LEAVE: Record<Cutting, string> = { yes: 'may be cut from', ask: 'ask first', no: 'never cut' };
const options = (all: readonly string[]) => all.map((value) => ({ value, label: value }));

/** What is known of a tree, to be changed. */
export function TreeForm({ groundsId, tree, onMove, onDone, onLeave }: TreeFormProps) {
  const { profiles } = useLibrary();
  const facts = factsOf(tree);
  const kept = useKept(`tree/${tree.id}`, `Tree ${tree.tag || 'without a tag'}`, {
    ...facts,
    girthText: girthsInWords(facts.girths),
  });
  const { save, saving, problem } = useSaving();
  // The map gives the place anew while the form is open.
  const value = { ...kept.value, latitude: tree.latitude, longitude: tree.longitude };
  const set = (part: Partial<typeof value>) => kept.set((before) => ({ ...before, ...part }));
  const girths = girthsOf(value.girthText);
  const keep = () => {
    if (!girths.ok) return;
    const { girthText: _text, ...rest } = value;
    const body = { ...rest, tag: rest.tag.trim(), girths: girths.value, baseVersion: tree.version };
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
  const text = (
    label: string,
    name: 'tag' | 'confirmedBy' | 'access' | 'permission' | 'note',
    most: number,
  ) => (
    <label>
      {label}
      <Input value={value[name]} maxLength={most} onChange={(event) => set({ [name]: event.target.value })} />
    </label>
  );
  const metres = (label: string, name: 'height' | 'spread' | 'elevation', most: number) => (
    <label>
      {label}
      <InputNumber value={value[name]} min={0} max={most} onChange={(next) => set({ [name]: next })} />
    </label>
  );
  return (
    <form
      className={styles['form']}
      aria-label={tree.version > 0 ? `Change ${tree.tag}` : 'A new tree'}
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <h2>{tree.version > 0 ? `Change ${tree.tag}` : 'A new tree'}</h2>
      <div className={styles['wide']}>
        <BroughtBack at={kept.broughtBack} onGiveUp={kept.forget} />
      </div>
      {text('Tag', 'tag', 40)}
      <label>
        Species
        <Select
          showSearch
          allowClear
          placeholder="not named yet"
          value={value.taxonId ?? undefined}
          optionFilterProp="label"
          onChange={(id: string | undefined) => set({ taxonId: id ?? null })}
          options={profiles.map(({ taxon }) => ({
            value: taxon.id,
            label: `${commonName(taxon)}, ${scientificName(taxon)}`,
          }))}
        />
      </label>
      {text('Name confirmed by', 'confirmedBy', 80)}
      <p className={styles['wide']}>
        {tree.latitude.toFixed(6)}, {tree.longitude.toFixed(6)}{' '}
        <Button size="small" onClick={onMove}>
          Show its place on the map
        </Button>
      </p>
      <label>
        May be cut
        <Select
          value={value.cutting}
          options={CUTTINGS.map((each) => ({ value: each, label: LEAVE[each] }))}
          onChange={(cutting) => set({ cutting })}
        />
      </label>
      {text('Leave given by, or to be asked', 'permission', 200)}
      <label>
        Leave until
        <Input
          type="date"
          value={value.until ?? ''}
          onChange={(event) => set({ until: event.target.value || null })}
        />
      </label>
      <fieldset className={styles['wide']}>
        <legend>Reach</legend>
        {REACHED_ORGANS.map((organ) => (
          <label key={organ}>
            {SHOWN_TITLES[organ]}
            <Select
              allowClear
              placeholder="not looked for"
              value={value.reach[organ]}
              options={REACHES.map((each) => ({ value: each, label: REACH_TITLES[each] }))}
              onChange={(reach: TreeFacts['reach'][typeof organ]) => {
                const { [organ]: _before, ...rest } = value.reach;
                set({ reach: reach ? { ...rest, [organ]: reach } : rest });
              }}
            />
          </label>
        ))}
      </fieldset>
      <label>
        Girth of each stem, cm
        <Input
          value={value.girthText}
          placeholder="60 + 80"
          onChange={(event) => set({ girthText: event.target.value })}
        />
      </label>
      {metres('Height, m', 'height', 130)}
      {metres('Crown spread, m', 'spread', 80)}
      {metres('Elevation, m', 'elevation', 9000)}
      <label>
        Stage
        <Select value={value.stage} options={options(STAGES)} onChange={(stage) => set({ stage })} />
      </label>
      <label>
        Sex of its flowers
        <Select value={value.sex} options={options(SEXES)} onChange={(sex) => set({ sex })} />
      </label>
      {text('Access', 'access', 300)}
      <label>
        Hazards
        <Select
          mode="multiple"
          value={value.hazards}
          options={options(HAZARDS)}
          onChange={(hazards) => set({ hazards })}
        />
      </label>
      {text('Note', 'note', 1000)}
      <Checkbox checked={value.stepFree} onChange={(event) => set({ stepFree: event.target.checked })}>
        Reached without a step, on firm ground
      </Checkbox>
      {(!girths.ok || problem) && <Problem>{girths.ok ? problem : girths.problem}</Problem>}
      <p className={styles['does']}>
        <Button type="primary" htmlType="submit" loading={saving} disabled={value.tag.trim() === ''}>
          Keep the tree
        </Button>
        <Button
          onClick={() => {
            kept.forget();
            onLeave();
          }}
        >
          Leave it as it was
        </Button>
      </p>
    </form>
  );
}
