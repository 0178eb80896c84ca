import { t } from '@lingui/core/macro';
import type { GroundsFacts } from '@hurrow/contract/grounds';
import { Button, Input } from 'antd';
import { parseDegrees } from '@hurrow/core/range';
import { Problem } from '../app/parts.tsx';
import { useSaving } from '../app/useSaving.ts';
import { BroughtBack } from '../drafts/BroughtBack.tsx';
import { useKept } from '../drafts/useKept.ts';
import styles from './grounds.module.css';

interface GroundsFormProps {
  begin: GroundsFacts;
  does: string;
  save(facts: GroundsFacts): Promise<unknown>;
}

/** Name and place of new grounds. */
export function GroundsForm({ begin, does, save: keep }: GroundsFormProps) {
  const kept = useKept('grounds/new', 'New grounds', {
    name: begin.name,
    latitude: String(begin.latitude),
    longitude: String(begin.longitude),
    elevation: String(begin.elevation),
  });
  const { name, latitude, longitude, elevation } = kept.value;
  const field = (label: string, part: keyof typeof kept.value) => (
    <label>
      {label}
      <Input
        value={kept.value[part]}
        maxLength={80}
        onChange={(event) => kept.set((before) => ({ ...before, [part]: event.target.value }))}
      />
    </label>
  );
  const { save, saving, problem } = useSaving();
  const north = parseDegrees(latitude, 'latitude');
  const east = parseDegrees(longitude, 'longitude');
  const up = Number(elevation);
  const wrong = !north.ok
    ? north.problem
    : !east.ok
      ? east.problem
      : !elevation.trim() || !Number.isFinite(up)
        ? t`“${elevation}” is no elevation. Write metres, such as 780.`
        : undefined;
  return (
    <form
      className={styles['form']}
      onSubmit={(event) => {
        event.preventDefault();
        if (!north.ok || !east.ok || wrong) return;
        const facts = { name, latitude: north.value, longitude: east.value, elevation: up };
        void save(() => keep(facts), { stale: [['grounds']], done: () => kept.forget() });
      }}
    >
      <div className={styles['wide']}>
        <BroughtBack at={kept.broughtBack} onGiveUp={kept.forget} />
      </div>
      {field(t`Name`, 'name')}
      {field(t`Latitude`, 'latitude')}
      {field(t`Longitude`, 'longitude')}
      {field(t`Elevation, m`, 'elevation')}
      {(wrong ?? problem) && <Problem>{wrong ?? problem}</Problem>}
      <Button
        type="primary"
        htmlType="submit"
        loading={saving}
        disabled={name.trim() === '' || wrong !== undefined}
      >
        {does}
      </Button>
    </form>
  );
}
