import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { PracticePack } from '@hurrow/contract/practice';
import type { MixUp, PracticeGround, Question } from '@hurrow/core/practice';
import { useEffect, useMemo, useRef, useState } from 'react';
import { afterSlip, type AfterSlip } from './afterSlip.ts';
import type { Told } from './drill.ts';
import { Lines } from './Lines.tsx';
import { nameOf, TreeName } from './TreeName.tsx';
import ui from '../app/parts.module.css';
import styles from './practice.module.css';
import { inTongue } from '../language/inTongue.ts';

interface AfterProps {
  question: Question;
  told: Told;
  said: string;
  pack: PracticePack;
  ground: PracticeGround;
  mixUps: readonly MixUp[];
  onNext(): void;
}

/** What is said of an answer; after a slip both trees, drawn alike but for what decides, and the student says which is which. */
export function After(props: AfterProps) {
  const { question, told, said, pack, onNext } = props;
  const next = useRef<HTMLButtonElement>(null);
  const [seen, setSeen] = useState(told.right);
  useEffect(() => {
    if (seen) next.current?.focus();
  }, [seen]);
  const { taxon } = pack.taxa.find((each) => each.taxon.id === question.card.taxonId)!;
  return (
    <section aria-live="polite" className={styles['after']}>
      {told.right ? (
        <p>
          <strong>
            <Trans>Right</Trans>
          </strong>
          : <TreeName pack={pack} id={question.card.taxonId} />. {said}
        </p>
      ) : (
        <p>
          {said} <Verdict question={question} told={told} pack={pack} />
        </p>
      )}
      {told.right && taxon.memoryAid && <p className="quiet">{taxon.memoryAid}</p>}
      {!told.right && <Both {...props} onSeen={() => setSeen(true)} />}
      {seen && (
        <button
          ref={next}
          type="button"
          className={`${ui['press']} ${ui['chief']} ${styles['go']}`}
          onClick={onNext}
        >
          <Trans>Next</Trans>
        </button>
      )}
    </section>
  );
}

function Verdict({ question, told, pack }: Pick<AfterProps, 'question' | 'told' | 'pack'>) {
  if (question.way === 'sort')
    return (
      <>
        <Trans>
          {told.slips} of {question.pieces.length} lie with the other tree.
        </Trans>
      </>
    );
  if (question.way === 'differs' || question.way === 'settles')
    return (
      <>
        <Trans>Not that. Here they are once more.</Trans>
      </>
    );
  return (
    <>
      {told.named ? (
        <>
          <Trans>
            Not <TreeName pack={pack} id={told.named} />. Look at the two:
          </Trans>
        </>
      ) : (
        t`Look at these two:`
      )}
    </>
  );
}

/** Both trees, their names hidden until the student has said which is which. */
function Both({ question, told, pack, ground, mixUps, onSeen }: AfterProps & { onSeen(): void }) {
  const made = useMemo(
    () => afterSlip(question, told.named, ground, mixUps, Math.random()),
    [question, told, ground, mixUps],
  );
  const [chosen, setChosen] = useState<number>();
  useEffect(() => {
    if (!made) onSeen();
  }, [made, onSeen]);
  if (!made) return null;
  const choose = (place: number) => {
    setChosen(place);
    onSeen();
  };
  return <WhichIsWhich made={made} pack={pack} chosen={chosen} onChoose={choose} />;
}

function WhichIsWhich({
  made: { pair, found, first },
  pack,
  chosen,
  onChoose,
}: {
  made: AfterSlip;
  pack: PracticePack;
  chosen: number | undefined;
  onChoose(place: number): void;
}) {
  const places = first === 0 ? [0, 1] : [1, 0];
  const pictures = [found.right, found.taken];
  const right = chosen !== undefined && places[chosen] === 0;
  return (
    <>
      {chosen === undefined && (
        <p>
          <Trans>
            One of them is <TreeName pack={pack} id={pair[0]} />. Which?
          </Trans>
        </p>
      )}
      <div className={styles['two']}>
        {places.map((which, place) => (
          <figure key={which}>
            {pictures[which] ? (
              <img
                className={styles['picture']}
                src={`data:image/svg+xml;utf8,${encodeURIComponent(pictures[which])}`}
                alt={
                  chosen === undefined
                    ? t`The ${place === 0 ? t`left` : t`right`} one`
                    : nameOf(pack, pair[which]!)
                }
              />
            ) : (
              <p className="quiet">
                <Trans>Not drawn.</Trans>
              </p>
            )}
            <figcaption>
              {chosen === undefined ? (
                <button type="button" className={ui['press']} onClick={() => onChoose(place)}>
                  {place === 0 ? t`The left one` : t`The right one`}
                </button>
              ) : (
                <TreeName pack={pack} id={pair[which]!} />
              )}
            </figcaption>
          </figure>
        ))}
      </div>
      <Lines lines={found.lines} pack={pack} pair={pair} />
      {chosen !== undefined && (
        <p>
          {right ? t`Yes, so they stand.` : t`The other way round.`}{' '}
          {found.settles ? `${inTongue(found.settles)}.` : ''}
        </p>
      )}
    </>
  );
}
