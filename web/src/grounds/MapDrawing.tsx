import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
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
import { inField } from '../language/inField.ts';

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
        <Trans>Draw on the map</Trans>
      </Button>
      <Button onClick={() => setOpen(true)}>
        <Trans>What is drawn</Trans>
      </Button>
      <Modal
        open={open}
        onCancel={() => setOpen(false)}
        footer={null}
        title={t`Drawn on the map of ${whole.name}`}
      >
        {problem && <Problem>{problem}</Problem>}
        <ul className={styles['report']}>
          {whole.features.features.map((feature, i) => (
            <li key={i}>
              {inField(FEATURE_TITLES[feature.properties.kind])}: {nameOnMap(feature.properties)}
              {feature.properties.steps && t`, steps`}{' '}
              <LinkButton
                disabled={saving}
                onClick={() =>
                  keep(
                    whole.features.features.filter((each) => each !== feature),
                    () => undefined,
                  )
                }
              >
                <Trans>take off</Trans>
              </LinkButton>
            </li>
          ))}
        </ul>
        {whole.features.features.length === 0 && (
          <p>
            <Trans>Nothing yet: draw paths first, walks follow them.</Trans>
          </p>
        )}
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
    <span className={styles['drawing']} role="group" aria-label={t`What is drawn`}>
      <Select
        aria-label={t`What it is`}
        value={facts.kind}
        options={FEATURE_KINDS.map((kind) => ({ value: kind, label: inField(FEATURE_TITLES[kind]) }))}
        onChange={(kind) => set({ kind })}
      />
      <Input
        aria-label={t`Its name`}
        placeholder={t`name`}
        maxLength={80}
        value={facts.name}
        onChange={(event) => set({ name: event.target.value })}
      />
      {facts.kind === 'path' && (
        <Select
          aria-label={t`Steps`}
          value={facts.steps === true}
          options={[
            { value: false, label: t`even` },
            { value: true, label: t`with steps` },
          ]}
          onChange={(steps) => set({ steps })}
        />
      )}
      {facts.kind === 'hazard' && (
        <Select
          aria-label={t`Which hazard`}
          placeholder={t`which?`}
          value={facts.hazard}
          options={HAZARDS.map((hazard) => ({ value: hazard, label: inField(hazard) }))}
          onChange={(hazard) => set({ hazard })}
        />
      )}
      <Button
        disabled={points.length === 0}
        onClick={() => onDrawing({ ...drawing, points: points.slice(0, -1) })}
      >
        <Trans>Last point back</Trans>
      </Button>
      <Button type="primary" loading={saving} disabled={!enoughPoints(drawing)} onClick={onKeep}>
        <Trans>Keep it</Trans>
      </Button>
      <Button onClick={() => onDrawing(undefined)}>
        <Trans>Give it up</Trans>
      </Button>
      {problem && <Problem>{problem}</Problem>}
    </span>
  );
}
