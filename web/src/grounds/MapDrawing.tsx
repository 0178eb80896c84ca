import type { WholeGrounds } from '@hurrow/contract/grounds';
import { Button, Input, Modal, Select } from 'antd';
import { useState } from 'react';
import {
  FEATURE_KINDS,
  FEATURE_TITLES,
  HAZARDS,
  type FeatureFacts,
  type GroundFeature,
} from '@hurrow/core/grounds';
import { call } from '../app/api.ts';
import { LinkButton, Problem } from '../app/parts.tsx';
import { useSaving } from '../app/useSaving.ts';
import { asFeature, enoughPoints, type Drawing } from './drawn.ts';
import { nameOnMap } from './mapLook.ts';
import styles from './grounds.module.css';

interface MapDrawingProps {
  whole: WholeGrounds;
  drawing: Drawing | undefined;
  onDrawing(drawing: Drawing | undefined): void;
}

/** Paths, water, buildings and hazards, drawn in place by pressing on the map, and taken off it. */
export function MapDrawing({ whole, drawing, onDrawing }: MapDrawingProps) {
  const [open, setOpen] = useState(false);
  const { save, saving, problem } = useSaving();
  const keep = (features: GroundFeature[], done: () => void) =>
    void save(
      () =>
        call('PUT /api/grounds/{groundsId}/map', {
          params: { groundsId: whole.id },
          body: { features: { type: 'FeatureCollection', features }, baseVersion: whole.version },
        }),
      { stale: [['grounds']], done },
    );
  if (drawing)
    return (
      <Drawn
        drawing={drawing}
        saving={saving}
        problem={problem}
        onDrawing={onDrawing}
        onKeep={() => keep([...whole.features.features, asFeature(drawing)], () => onDrawing(undefined))}
      />
    );
  return (
    <>
      <Button onClick={() => onDrawing({ facts: { kind: 'path', name: '' }, points: [] })}>
        Draw on the map
      </Button>
      <Button onClick={() => setOpen(true)}>What is drawn</Button>
      <Modal
        open={open}
        onCancel={() => setOpen(false)}
        footer={null}
        title={`Drawn on the map of ${whole.name}`}
      >
        {problem && <Problem>{problem}</Problem>}
        <ul className={styles['report']}>
          {whole.features.features.map((feature, i) => (
            <li key={i}>
              {FEATURE_TITLES[feature.properties.kind]}: {nameOnMap(feature.properties)}
              {feature.properties.steps && ', steps'}{' '}
              <LinkButton
                disabled={saving}
                onClick={() =>
                  keep(
                    whole.features.features.filter((each) => each !== feature),
                    () => undefined,
                  )
                }
              >
                take off
              </LinkButton>
            </li>
          ))}
        </ul>
        {whole.features.features.length === 0 && <p>Nothing yet: draw paths first, walks follow them.</p>}
      </Modal>
    </>
  );
}

interface DrawnProps {
  drawing: Drawing;
  saving: boolean;
  problem: string | undefined;
  onDrawing(drawing: Drawing | undefined): void;
  onKeep(): void;
}

/** What is being drawn: what it is, and the presses that end it. */
function Drawn({ drawing, saving, problem, onDrawing, onKeep }: DrawnProps) {
  const { facts, points } = drawing;
  const set = (part: Partial<FeatureFacts>) => onDrawing({ ...drawing, facts: { ...facts, ...part } });
  return (
    <span className={styles['drawing']} role="group" aria-label="What is drawn">
      <Select
        aria-label="What it is"
        value={facts.kind}
        options={FEATURE_KINDS.map((kind) => ({ value: kind, label: FEATURE_TITLES[kind] }))}
        onChange={(kind) => set({ kind })}
      />
      <Input
        aria-label="Its name"
        placeholder="name"
        maxLength={80}
        value={facts.name}
        onChange={(event) => set({ name: event.target.value })}
      />
      {facts.kind === 'path' && (
        <Select
          aria-label="Steps"
          value={facts.steps === true}
          options={[
            { value: false, label: 'even' },
            { value: true, label: 'with steps' },
          ]}
          onChange={(steps) => set({ steps })}
        />
      )}
      {facts.kind === 'hazard' && (
        <Select
          aria-label="Which hazard"
          placeholder="which?"
          value={facts.hazard}
          options={HAZARDS.map((hazard) => ({ value: hazard, label: hazard }))}
          onChange={(hazard) => set({ hazard })}
        />
      )}
      <Button
        disabled={points.length === 0}
        onClick={() => onDrawing({ ...drawing, points: points.slice(0, -1) })}
      >
        Last point back
      </Button>
      <Button type="primary" loading={saving} disabled={!enoughPoints(drawing)} onClick={onKeep}>
        Keep it
      </Button>
      <Button onClick={() => onDrawing(undefined)}>Give it up</Button>
      {problem && <Problem>{problem}</Problem>}
    </span>
  );
}
