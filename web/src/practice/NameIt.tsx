import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { PracticePack, ToldOf } from '@hurrow/contract/practice';
import { GLANCE, type Question } from '@hurrow/core/practice';
import { offeredInWords } from '@hurrow/core/station';
import { commonName } from '@hurrow/core/taxon';
import { useEffect, useMemo, useState } from 'react';
import type { Told } from './drill.ts';
import { WentBy } from '../student/Telling.tsx';
import { Features } from './Features.tsx';
import { readVocabulary } from './ground.ts';
import { namedAs, namesLike } from './named.ts';
import { Picture } from './Picture.tsx';
import { TreeName } from './TreeName.tsx';
import ui from '../app/parts.module.css';
import styles from './practice.module.css';
import student from '../student/student.module.css';

export type NamingQuestion = Extract<Question, { way: 'name' | 'glance' | 'features' | 'which' }>;

interface NameItProps {
  question: NamingQuestion;
  pack: PracticePack;
  /** Told what was named, and when that was, where something was asked after it (`performance.now`). */
  onTold(told: Omit<Told, 'took'>, said: string, at?: number): void;
  /** Told what was named, and when, before it is asked what by. */
  onNamed(told: Omit<Told, 'took'>, at: number): void;
}

/** One specimen to be named: written, chosen, after a glance, or after its features. */
export function NameIt({ question, pack, onTold, onNamed }: NameItProps) {
  const [misread, setMisread] = useState<number>();
  if (question.way === 'glance') return <Glance question={question} pack={pack} onTold={onTold} />;
  const asksFirst = question.way === 'features' && misread === undefined;
  return (
    <>
      <Picture shown={question.shown} />
      {question.way === 'features' && (
        <Features asks={question.asks} ground={pack} onRead={setMisread} read={misread !== undefined} />
      )}
      {!asksFirst && question.way === 'which' && (
        <Choices
          pack={pack}
          choices={question.choices}
          onChoose={(id) => onTold({ right: id === question.card.taxonId, slips: 0, named: id }, '')}
        />
      )}
      {!asksFirst && question.way !== 'which' && (
        <Write
          pack={pack}
          truth={question.card.taxonId}
          offered={question.way === 'name' ? question.offered : undefined}
          onNamed={onNamed}
          onTold={(told, said, at) => onTold({ ...told, slips: told.slips + (misread ?? 0) }, said, at)}
        />
      )}
    </>
  );
}

/** Three seconds to look, from when one is ready. */
function Glance({
  question,
  pack,
  onTold,
}: Omit<NameItProps, 'onNamed'> & { question: Extract<NamingQuestion, { way: 'glance' }> }) {
  const [phase, setPhase] = useState<'ready' | 'looking' | 'gone'>('ready');
  const [looks, setLooks] = useState(0);
  useEffect(() => {
    if (phase !== 'looking') return undefined;
    const timer = window.setTimeout(() => setPhase('gone'), GLANCE * 1000);
    return () => window.clearTimeout(timer);
  }, [phase]);
  const look = () => {
    setLooks(looks + 1);
    setPhase('looking');
  };
  return (
    <>
      {phase === 'looking' ? (
        <Picture shown={question.shown} />
      ) : (
        <div className={styles['covered']}>
          <button type="button" className={`${ui['press']} ${ui['chief']}`} onClick={look}>
            {phase === 'ready' ? t`Look: three seconds` : t`Look again`}
          </button>
        </div>
      )}
      {phase === 'gone' && (
        <Choices
          pack={pack}
          choices={question.choices}
          onChoose={(id) => onTold({ right: id === question.card.taxonId, slips: looks - 1, named: id }, '')}
        />
      )}
    </>
  );
}

function Choices({
  pack,
  choices,
  onChoose,
}: {
  pack: PracticePack;
  choices: readonly string[];
  onChoose(id: string): void;
}) {
  return (
    <div className={styles['choices']} role="group" aria-label={t`Which tree is it?`}>
      {choices.map((id) => (
        <button key={id} type="button" className={ui['press']} onClick={() => onChoose(id)}>
          <TreeName pack={pack} id={id} />
        </button>
      ))}
    </div>
  );
}

interface Named {
  told: Omit<Told, 'took'>;
  said: string;
  at: number;
}

function Write({
  pack,
  truth,
  offered,
  onTold,
  onNamed,
}: Pick<NameItProps, 'pack' | 'onTold' | 'onNamed'> & {
  truth: string;
  /** Of what is asked, after the name, whether it was gone by. */
  offered: string[] | undefined;
}) {
  const [text, setText] = useState('');
  const [named, setNamed] = useState<Named>();
  const list = useMemo(() => pack.taxa.map(({ taxon }) => taxon), [pack]);
  const names = useMemo(() => (pack.common ? list.map((taxon) => commonName(taxon)) : []), [pack, list]);
  const told = (written: string) => {
    const { right, slips, taxonId, said } = namedAs(written, truth, list, pack.common);
    const now = { right, slips, ...(taxonId ? { named: taxonId } : {}) };
    // Who has no idea went by nothing.
    if (!offered || !written) {
      onTold(now, said);
      return;
    }
    const at = performance.now();
    setNamed({ told: now, said, at });
    onNamed(now, at);
  };
  if (offered && named)
    return (
      <Going
        offered={offered}
        pack={pack}
        onGo={(wentBy) => onTold({ ...named.told, ...(wentBy ? { wentBy } : {}) }, named.said, named.at)}
      />
    );
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim()) told(text);
      }}
    >
      <label className={student['field']}>
        <span>{pack.common ? t`Name` : t`Genus and species, or its common name`}</span>
        <input
          value={text}
          onChange={(event) => setText(event.target.value)}
          maxLength={120}
          autoComplete="off"
          autoCorrect="off"
          spellCheck={false}
          autoCapitalize="none"
          enterKeyHint="done"
        />
      </label>
      {namesLike(text, names).map((name) => (
        <button
          key={name}
          type="button"
          className={`${ui['press']} ${styles['suggestion']}`}
          onClick={() => told(name)}
        >
          {name}
        </button>
      ))}
      <div className={student['phone-go']}>
        <button type="button" className={ui['press']} onClick={() => told('')} title={t`Show me what it is`}>
          <Trans>No idea</Trans>
        </button>
        <button type="submit" className={`${ui['press']} ${ui['chief']}`} disabled={!text.trim()}>
          <Trans>That is it</Trans>
        </button>
      </div>
    </form>
  );
}

/** After the name, what it was named by; it may be left out. */
function Going({
  offered,
  pack,
  onGo,
}: {
  offered: string[];
  pack: PracticePack;
  onGo(wentBy: ToldOf | undefined): void;
}) {
  const [told, setTold] = useState<string[]>([]);
  const words = useMemo(() => offeredInWords(offered, readVocabulary(pack), pack.audience), [offered, pack]);
  return (
    <>
      <WentBy offered={words} told={told} onTell={setTold} />
      <div className={student['phone-go']}>
        <button
          type="button"
          className={`${ui['press']} ${ui['chief']}`}
          onClick={() => onGo(told.length > 0 ? { offered, told } : undefined)}
        >
          {told.length > 0 ? t`Go on` : t`Leave it out`}
        </button>
      </div>
    </>
  );
}
