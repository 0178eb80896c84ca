import type { GroundsFacts } from '@hurrow/contract/grounds';
import { Button, Input } from 'antd';
import { useState } from 'react';
import { parseDegrees } from '@hurrow/core/range';
import { Problem } from '../app/parts.tsx';
import { useSaving } from '../app/useSaving.ts';
import styles from './grounds.module.css';

interface GroundsFormProps {
  begin: GroundsFacts;
  does: string;
  save(facts: GroundsFacts): Promise<unknown>;
}

/** Name and place of grounds. */
export function GroundsForm({ begin, does, save: keep }: GroundsFormProps) {
  const [name, setName] = useState(begin.name);
  const [latitude, setLatitude] = useState(String(begin.latitude));
  const [longitude, setLongitude] = useState(String(begin.longitude));
  const [elevation, setElevation] = useState(String(begin.elevation));
  const { save, saving, problem } = useSaving();
  const north = parseDegrees(latitude, 'latitude');
  const east = parseDegrees(longitude, 'longitude');
  const up = Number(elevation);
  const wrong = !north.ok
    ? north.problem
    : !east.ok
      ? east.problem
      : !elevation.trim() || !Number.isFinite(up)
        ? `“${elevation}” is no elevation. Write metres, such as 780.`
        : undefined;
  return (
    <form
      className={styles['form']}
      onSubmit={(event) => {
        event.preventDefault();
        if (!north.ok || !east.ok || wrong) return;
        const facts = { name, latitude: north.value, longitude: east.value, elevation: up };
        void save(() => keep(facts), { stale: [['grounds']] });
      }}
    >
      <label>
        Name
        <Input value={name} maxLength={80} onChange={(event) => setName(event.target.value)} />
      </label>
      <label>
        Latitude
        <Input value={latitude} onChange={(event) => setLatitude(event.target.value)} />
      </label>
      <label>
        Longitude
        <Input value={longitude} onChange={(event) => setLongitude(event.target.value)} />
      </label>
      <label>
        Elevation, m
        <Input value={elevation} onChange={(event) => setElevation(event.target.value)} />
      </label>
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
