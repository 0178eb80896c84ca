import { t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { conditionInWords, type Condition } from '@hurrow/core/condition';
import type { Key, Lead } from '@hurrow/core/key';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { StatePicture } from '../app/StatePicture.tsx';
import type { Ground } from './setting.ts';
import styles from './keys.module.css';
import { LinkButton } from '../app/parts.tsx';
import { begun, leftAt, taken, unsure, type Step } from './walk.ts';
import ui from '../app/parts.module.css';
import { inTongue } from '../language/inTongue.ts';

/** A key gone through lead by lead, in hand under a tree: one question a screen, back at any time, "both fit" and "can't see". */
export function KeyWalk({ keyTo, ground, leave }: { keyTo: Key; ground: Ground; leave(): void }) {
  const [steps, setSteps] = useState<Step[]>([begun(keyTo)]);
  const step = steps[steps.length - 1]!;
  const left = leftAt(step);
  return (
    <div className={styles['key-walk']}>
      <div className={styles['walk-head']}>
        <button
          className={ui['press']}
          onClick={steps.length > 1 ? () => setSteps(steps.slice(0, -1)) : leave}
        >
          {steps.length > 1 ? t`Back` : t`Leave`}
        </button>
        <span role="status">
          {steps.length > 1 ? t`Question ${steps.length}. ` : ''}
          <Plural value={left.length} one="One name is left." other="# names are left." />
        </span>
        {steps.length > 1 && (
          <LinkButton onClick={leave}>
            <Trans>Leave</Trans>
          </LinkButton>
        )}
      </div>
      {step.node.kind === 'couplet' ? (
        <Question
          leads={step.node.leads}
          open={step.open.length}
          ground={ground}
          go={(lead) => setSteps([...steps, lead === undefined ? unsure(step) : taken(step, lead)])}
        />
      ) : (
        <End taxa={left} clinch={step.node.clinch} ground={ground} again={() => setSteps([steps[0]!])} />
      )}
    </div>
  );
}

/** The leads of a couplet, and the way on for who cannot tell. */
function Question({
  leads,
  open,
  ground,
  go,
}: {
  leads: readonly Lead[];
  open: number;
  ground: Ground;
  go(lead: number | undefined): void;
}) {
  const { vocabulary, course } = ground;
  const words = (condition: Lead['condition']) =>
    conditionInWords(condition, vocabulary, course?.audience ?? 'technical', course?.units ?? 'metric');
  return (
    <>
      {leads.map((lead, i) => (
        <button key={i} className={styles['walk-lead']} onClick={() => go(i)}>
          {lead.condition.states?.[0] && (
            <StatePicture characterId={lead.condition.characterId} state={lead.condition.states[0]} />
          )}
          <span>
            <strong>{lead.words ?? words(lead.condition)}</strong>
            {!lead.words &&
              lead.also.map((condition) => <small key={condition.characterId}>{words(condition)}</small>)}
          </span>
        </button>
      ))}
      <div className={styles['walk-doubt']}>
        {([t`Both fit`, t`I can’t see it`] as const).map((doubt) => (
          <button key={doubt} className={ui['press']} onClick={() => go(undefined)}>
            {doubt}
          </button>
        ))}
      </div>
      {open > 0 && (
        <p className="quiet">
          <Trans>
            {open} other <Plural value={open} one="way is" other="ways are" /> left open and will be gone too.
          </Trans>
        </p>
      )}
    </>
  );
}

function End({
  taxa,
  clinch,
  ground,
  again,
}: {
  taxa: readonly string[];
  clinch: Condition | undefined;
  ground: Ground;
  again(): void;
}) {
  const { vocabulary, course } = ground;
  return (
    <div className={styles['walk-end']}>
      <h2>
        <Plural value={taxa.length} one="It comes out as" other="It comes out as one of" />
      </h2>
      <ul>
        {taxa.map((id) => {
          const found = ground.profiles.find(({ taxon }) => taxon.id === id)?.taxon;
          return (
            <li key={id}>
              <strong>{found ? commonName(found) : id}</strong>{' '}
              <span className="latin">{found && scientificName(found)}</span>
              {found?.cautions.map(({ kind, care }) => (
                <small key={kind} className="gold">
                  {inTongue(kind)}: {care}
                </small>
              ))}
            </li>
          );
        })}
      </ul>
      {clinch && taxa.length === 1 && (
        <p>
          <Trans>
            To be sure, look:{' '}
            <strong>
              {conditionInWords(
                clinch,
                vocabulary,
                course?.audience ?? 'technical',
                course?.units ?? 'metric',
              )}
            </strong>
            . If it shows something else, go back to the question that was least clear.
          </Trans>
        </p>
      )}
      <button className={ui['press']} onClick={again}>
        <Trans>Begin again</Trans>
      </button>
    </div>
  );
}
