import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useMemo, useState } from 'react';
import { conditionInWords, type Condition } from '@hurrow/core/condition';
import {
  checkRule,
  conclusionInWords,
  ruleInWords,
  type Conclusion,
  type KeptRule,
  type Rule,
} from '@hurrow/core/rule';
import { commonName } from '@hurrow/core/taxon';
import { call } from '../app/api.ts';
import { useSaved } from '../library/useSaved.tsx';
import { useWork } from '../workers/useWork.ts';
import { Working } from '../workers/Working.tsx';
import { concluded } from './concluded.ts';
import { ConditionPicker } from './ConditionPicker.tsx';
import { lookalikesQuery } from './lookalikesQuery.ts';
import type { Ground } from './setting.ts';
import styles from './rules.module.css';
import { LinkButton, Problem } from '../app/parts.tsx';
import { useSaving } from '../app/useSaving.ts';
import { listInWords } from '../language/inWords.ts';
import { sayingSpoken } from '../language/vocabulary.ts';

/** Rules of thumb: those that are kept, each checked against the list; a form for a new one; and what the list itself proposes. */
export function Rules({ ground }: { ground: Ground }) {
  const held = useQuery(lookalikesQuery).data;
  const saved = useSaved();
  const { save, problem } = useSaving();
  const keep = (rule: Rule & { words?: string }) =>
    save(() => call('POST /api/library/rules', { body: { rule, baseRevision: held?.revision ?? 0 } }), {
      done: ({ revision }) => saved(t`The rule is kept.`, revision),
    }).then(() => undefined);
  const drop = (id: string) =>
    save(() => call('DELETE /api/library/rules/{id}', { params: { id } }), {
      done: ({ revision }) => saved(t`The rule is taken away.`, revision),
    });
  return (
    <div className={styles['rules']}>
      <div>
        <h2>
          <Trans>Rules of this course</Trans>
        </h2>
        {problem && <Problem>{problem}</Problem>}
        {held?.rules.length === 0 && (
          <p className="quiet">
            <Trans>None yet. Write one below, or keep one that the list proposes.</Trans>
          </p>
        )}
        <ul className={styles['rule-list']}>
          {held?.rules.map((rule) => (
            <KeptLine key={rule.id} rule={rule} ground={ground} drop={() => void drop(rule.id)} />
          ))}
        </ul>
        <RuleForm ground={ground} keep={keep} />
      </div>
      <Proposals ground={ground} keep={(rule) => void keep(rule)} />
    </div>
  );
}

const wordsOf = (rule: Rule & { words?: string }, { setting, vocabulary, course }: Ground) =>
  ruleInWords(
    rule,
    setting.list.map(({ taxon }) => taxon),
    vocabulary,
    course?.audience ?? 'technical',
    course?.units ?? 'metric',
  );

function KeptLine({ rule, ground, drop }: { rule: KeptRule; ground: Ground; drop(): void }) {
  return (
    <li>
      <strong>{wordsOf(rule, ground)}</strong>{' '}
      <LinkButton onClick={drop}>
        <Trans>Take away</Trans>
      </LinkButton>
      {rule.words && <small>{wordsOf({ conditions: rule.conditions, then: rule.then }, ground)}</small>}
      <RuleFinding rule={rule} ground={ground} />
    </li>
  );
}

/** What the list says of a rule: what it covers, its exceptions by name, and how often it holds. */
function RuleFinding({ rule, ground }: { rule: Rule; ground: Ground }) {
  const { setting, vocabulary, profiles } = ground;
  const check = useMemo(
    () => checkRule(rule, setting.list, vocabulary, setting.view, setting.options),
    [rule, setting, vocabulary],
  );
  // What is not taught may still bend the rule.
  const beyond = useMemo(() => {
    const rest = profiles.filter((profiled) => !setting.list.includes(profiled));
    return checkRule(rule, rest, vocabulary, setting.view, setting.options).exceptions.map(({ taxonId }) =>
      commonName(rest.find(({ taxon }) => taxon.id === taxonId)!.taxon),
    );
  }, [rule, profiles, setting, vocabulary]);
  const name = (id: string) => commonName(setting.list.find(({ taxon }) => taxon.id === id)!.taxon);
  const names = (ids: readonly string[]) => listInWords(ids.map(name));
  if (check.rate === undefined)
    return (
      <small className="gold">
        <Trans>Nothing on the list shows this in the view and on the date chosen.</Trans>
      </small>
    );
  return (
    <small>
      {check.exceptions.length === 0 ? (
        <span className={styles['settled']}>
          <Trans>Holds without exception.</Trans>{' '}
        </span>
      ) : (
        <span className="rust">
          <Trans>
            Exceptions:{' '}
            {check.exceptions
              .map(({ taxonId, share }) => `${name(taxonId)}${share < 0.97 ? t` (in part)` : ''}`)
              .join(', ')}
            .
          </Trans>{' '}
        </span>
      )}
      <Trans>
        Right for {Math.round(100 * check.rate)} % of what shows it. Covers {check.covered.length}
        {check.covered.length > 0 && check.covered.length < 7 ? `: ${names(check.covered)}` : ''}.
        {check.notReached.length > 0 && t` Does not reach ${names(check.notReached)}.`}
        {beyond.length > 0 && t` In the library also ${listInWords(beyond)} bends it.`}
        {check.unknown.length > 0 && t` Not known or not seen for ${check.unknown.length} others.`}
      </Trans>
    </small>
  );
}

function RuleForm({
  ground,
  keep,
}: {
  ground: Ground;
  keep(rule: Rule & { words?: string }): Promise<void>;
}) {
  const { vocabulary, setting, course } = ground;
  const [audience, units] = [course?.audience ?? 'technical', course?.units ?? 'metric'] as const;
  const [conditions, setConditions] = useState<Condition[]>([]);
  const [then, setThen] = useState<Conclusion>();
  const [words, setWords] = useState('');
  const rule = conditions.length > 0 && then ? { conditions, then } : undefined;
  return (
    <form
      className={styles['rule-form']}
      onSubmit={(event) => {
        event.preventDefault();
        if (!rule) return;
        void keep({ ...rule, ...(words.trim() ? { words: words.trim() } : {}) }).then(() => {
          setConditions([]);
          setThen(undefined);
          setWords('');
        });
      }}
    >
      <h2>
        <Trans>A new rule</Trans>
      </h2>
      <p>
        <strong>
          <Trans>If</Trans>
        </strong>{' '}
        {conditions.map((condition, i) => (
          <span key={i} className={styles['chosen']}>
            {i > 0 && t`and `}
            {conditionInWords(condition, vocabulary, audience, units)}{' '}
            <button
              type="button"
              aria-label={t`Take out ${conditionInWords(condition, vocabulary, audience, units)}`}
              onClick={() => setConditions(conditions.filter((_, j) => j !== i))}
            >
              ×
            </button>
          </span>
        ))}
        {conditions.length < 4 && (
          <ConditionPicker
            vocabulary={setting.vocabulary}
            audience={audience}
            units={units}
            label={t`If`}
            onPick={(condition) => setConditions([...conditions, condition])}
          />
        )}
      </p>
      <p>
        <strong>
          <Trans>then</Trans>
        </strong>{' '}
        <ThenChoice ground={ground} then={then} onChange={setThen} />
      </p>
      {rule && <RuleFinding rule={rule} ground={ground} />}
      <label>
        <Trans>In your own words, if you like</Trans>
        <input value={words} maxLength={300} onChange={(event) => setWords(event.target.value)} />
      </label>
      <Button type="primary" htmlType="submit" disabled={!rule}>
        <Trans>Keep the rule</Trans>
      </Button>
    </form>
  );
}

interface ThenChoiceProps {
  ground: Ground;
  then: Conclusion | undefined;
  onChange(then: Conclusion | undefined): void;
}

/** What the rule concludes: a genus, a family, or trees by name, of which there may be several. */
function ThenChoice({ ground: { setting }, then, onChange }: ThenChoiceProps) {
  const unique = (values: string[]) => [...new Set(values)].sort();
  const genera = unique(setting.list.map(({ taxon }) => taxon.genus));
  const families = unique(setting.list.map(({ taxon }) => taxon.family));
  return (
    <>
      {then && (
        <span className={styles['chosen']}>
          {conclusionInWords(
            then,
            setting.list.map(({ taxon }) => taxon),
            sayingSpoken().saying,
          )}{' '}
          <button
            type="button"
            aria-label={t`Take out what it concludes`}
            onClick={() => onChange(undefined)}
          >
            ×
          </button>
        </span>
      )}
      {(!then || then.kind === 'taxa') && (
        <select
          aria-label={t`Then it is`}
          value=""
          onChange={(event) => onChange(concluded(then, event.target.value))}
        >
          <option value="">{then ? t`or…` : t`choose what it is`}</option>
          {!then && (
            <>
              <optgroup label={t`A genus`}>
                {genera.map((genus) => (
                  <option key={genus} value={`genus|${genus}`}>
                    {genus}
                  </option>
                ))}
              </optgroup>
              <optgroup label={t`A family`}>
                {families.map((family) => (
                  <option key={family} value={`family|${family}`}>
                    {family}
                  </option>
                ))}
              </optgroup>
            </>
          )}
          <optgroup label={t`Trees by name`}>
            {setting.list.map(({ taxon }) => (
              <option key={taxon.id} value={`taxon|${taxon.id}`}>
                {commonName(taxon)}
              </option>
            ))}
          </optgroup>
        </select>
      )}
    </>
  );
}

function Proposals({ ground, keep }: { ground: Ground; keep(rule: Rule): void }) {
  const { setting, asked, inputs } = ground;
  const work = useWork(['rules', ...inputs], (worker, progress) => worker.rules(asked, progress));
  const [all, setAll] = useState(false);
  const name = (id: string) => commonName(setting.list.find(({ taxon }) => taxon.id === id)!.taxon);
  const shown = work.result?.slice(0, all ? 200 : 14) ?? [];
  return (
    <div>
      <h2>
        <Trans>What the list proposes</Trans>
      </h2>
      <Working work={work} what={t`Going through the states…`} />
      {work.result?.length === 0 && (
        <p className="quiet">
          <Trans>No rule of one or two states holds for three taxa without exception in this view.</Trans>
        </p>
      )}
      <ul className={styles['rule-list']}>
        {shown.map(({ conditions, then, covered, excluded }) => (
          <li key={JSON.stringify([conditions, then])}>
            {wordsOf({ conditions, then }, ground)}{' '}
            <LinkButton onClick={() => keep({ conditions, then })}>
              <Trans>Keep</Trans>
            </LinkButton>
            <small>
              <Trans>
                No exception. Holds for{' '}
                {covered.length < 6 ? listInWords(covered.map(name)) : t`${covered.length} taxa`}; rules out{' '}
                {excluded.length}.
              </Trans>
            </small>
          </li>
        ))}
      </ul>
      {work.result && work.result.length > 14 && (
        <LinkButton onClick={() => setAll(!all)}>
          {all ? t`Only the first` : t`All ${work.result.length}`}
        </LinkButton>
      )}
    </div>
  );
}
