import { useState } from 'react';
import { conditionInWords } from '@hurrow/core/condition';
import { taxaBelow, type Key, type KeyNode } from '@hurrow/core/key';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { StatePicture } from '../app/StatePicture.tsx';
import type { Ground } from './setting.ts';
import styles from './keys.module.css';
import { LinkButton } from '../app/parts.tsx';
import ui from '../app/parts.module.css';

interface Step {
  node: KeyNode;
  /** Ways still to be gone, left open where both leads fitted or neither could be seen. */
  open: KeyNode[];
  /** Taxa at ends already reached on other ways. */
  reached: string[];
}

/** A key gone through lead by lead, in hand under a tree: one question a screen, back at any time, "both fit" and "can't see". */
export function KeyWalk({ keyTo, ground, leave }: { keyTo: Key; ground: Ground; leave(): void }) {
  const { vocabulary, course, profiles } = ground;
  const [audience, units] = [course?.audience ?? 'technical', course?.units ?? 'metric'] as const;
  const [steps, setSteps] = useState<Step[]>([settle({ node: keyTo.root, open: [], reached: [] })]);
  const { node, open, reached } = steps[steps.length - 1]!;
  const go = (next: Step) => setSteps([...steps, settle(next)]);
  const back = () => setSteps(steps.slice(0, -1));
  const left = new Set([...taxaBelow(node), ...open.flatMap(taxaBelow), ...reached]);
  return (
    <div className={styles['key-walk']}>
      <div className={styles['walk-head']}>
        <button className={ui['press']} onClick={steps.length > 1 ? back : leave}>
          {steps.length > 1 ? 'Back' : 'Leave'}
        </button>
        <span role="status">
          {steps.length > 1 ? `Question ${steps.length}. ` : ''}
          {left.size === 1 ? 'One name is left.' : `${left.size} names are left.`}
        </span>
        {steps.length > 1 && <LinkButton onClick={leave}>Leave</LinkButton>}
      </div>
      {node.kind === 'couplet' ? (
        <>
          {node.leads.map((lead, i) => (
            <button
              key={i}
              className={styles['walk-lead']}
              onClick={() => go({ node: lead.to, open, reached })}
            >
              {lead.condition.states?.[0] && (
                <StatePicture characterId={lead.condition.characterId} state={lead.condition.states[0]} />
              )}
              <span>
                <strong>{lead.words ?? conditionInWords(lead.condition, vocabulary, audience, units)}</strong>
                {!lead.words &&
                  lead.also.map((condition) => (
                    <small key={condition.characterId}>
                      {conditionInWords(condition, vocabulary, audience, units)}
                    </small>
                  ))}
              </span>
            </button>
          ))}
          <div className={styles['walk-doubt']}>
            {(['Both fit', 'I can’t see it'] as const).map((doubt) => (
              <button
                key={doubt}
                className={ui['press']}
                onClick={() =>
                  go({
                    node: node.leads[0]!.to,
                    open: [...node.leads.slice(1).map((lead) => lead.to), ...open],
                    reached,
                  })
                }
              >
                {doubt}
              </button>
            ))}
          </div>
          {open.length > 0 && (
            <p className="quiet">
              {open.length} other {open.length === 1 ? 'way is' : 'ways are'} left open and will be gone too.
            </p>
          )}
        </>
      ) : (
        <div className={styles['walk-end']}>
          <h2>{left.size === 1 ? 'It comes out as' : 'It comes out as one of'}</h2>
          <ul>
            {[...left].map((id) => {
              const found = profiles.find(({ taxon }) => taxon.id === id)?.taxon;
              return (
                <li key={id}>
                  <strong>{found ? commonName(found) : id}</strong>{' '}
                  <span className="latin">{found && scientificName(found)}</span>
                  {found?.cautions.map(({ kind, care }) => (
                    <small key={kind} className="gold">
                      {kind}: {care}
                    </small>
                  ))}
                </li>
              );
            })}
          </ul>
          <button className={ui['press']} onClick={() => setSteps([steps[0]!])}>
            Begin again
          </button>
        </div>
      )}
    </div>
  );
}

/** At an end with ways left open, the walk goes on along the first of them; what it reached is kept. */
function settle({ node, open, reached }: Step): Step {
  if (node.kind === 'couplet' || open.length === 0) return { node, open, reached };
  return settle({ node: open[0]!, open: open.slice(1), reached: [...new Set([...reached, ...node.taxa])] });
}
