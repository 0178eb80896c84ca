import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { KeptKey, NamedKey } from '@hurrow/contract/lookalikes';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import { keyLines, rewordLead, type Appraisal, type Key, type KeyLine } from '@hurrow/core/key';
import { scientificName } from '@hurrow/core/taxon';
import { call } from '../app/api.ts';
import { LinkButton, Problem } from '../app/parts.tsx';
import { StatePicture } from '../app/StatePicture.tsx';
import { useSaving } from '../app/useSaving.ts';
import { useSaved } from '../library/useSaved.tsx';
import { CoupletEditor } from './CoupletEditor.tsx';
import styles from './contrast.module.css';
import { KeyWorth } from './KeyWorth.tsx';
import keysStyles from './keys.module.css';
import { nameOf, type FoundTaxon, type Layout } from './keyed.ts';
import { lookalikesQuery } from './lookalikesQuery.ts';
import { printSheet } from './printSheet.ts';
import type { Ground } from './setting.ts';

interface Made {
  key: Key;
  appraisal: Appraisal;
}

interface Props {
  title: string;
  made: Made;
  ground: Ground;
  options: KeptKey['options'];
  kept?: NamedKey;
  walk(): void;
  ban?: (characterId: string) => void;
}

/** A key on the page: what it is worth, its lines, and what can be done with it. Changes are kept only on saving. */
export function KeySheet({ title: firstTitle, made, ground, options, kept, walk, ban }: Props) {
  const { vocabulary, course, profiles } = ground;
  const [layout, setLayout] = useState<Layout>('bracketed');
  const [title, setTitle] = useState(firstTitle);
  const [now, setNow] = useState(made);
  const [selected, setSelected] = useState<number[]>();
  const { keep, drop, problem, say } = useKeeping({ title, key: now.key, options }, kept);
  const changed = now.key !== made.key;
  const find: FoundTaxon = (id) => profiles.find(({ taxon }) => taxon.id === id)?.taxon;
  return (
    <div className={keysStyles['key-page']}>
      <div>
        <KeyWorth
          made={now}
          before={changed ? made.appraisal : undefined}
          name={(id) => nameOf(find(id), id)}
        />
        <div className={styles['pair-choice']}>
          <select
            aria-label={t`Layout of the key`}
            value={layout}
            onChange={(event) => setLayout(event.target.value as Layout)}
          >
            <option value="bracketed">
              <Trans>bracketed</Trans>
            </option>
            <option value="indented">
              <Trans>indented</Trans>
            </option>
          </select>
          <Button type="primary" onClick={walk}>
            <Trans>Walk through it</Trans>
          </Button>
          <Button
            onClick={() => void printSheet('key', { title, key: now.key, layout }, course?.id).then(say)}
          >
            <Trans>Print</Trans>
          </Button>
          <input
            aria-label={t`Name of the key`}
            size={Math.max(24, title.length)}
            value={title}
            onChange={(event) => setTitle(event.target.value)}
          />
          <Button onClick={() => void keep()}>{kept ? t`Save` : t`Keep this key`}</Button>
          {kept && (
            <Button type="text" onClick={() => void drop()}>
              <Trans>Take away</Trans>
            </Button>
          )}
          {changed && (
            <LinkButton onClick={() => setNow(made)}>
              <Trans>Back to the key before the changes</Trans>
            </LinkButton>
          )}
        </div>
        {problem && <Problem>{problem}</Problem>}
        <Lines
          lines={keyLines(
            now.key,
            layout,
            vocabulary,
            course?.audience ?? 'technical',
            course?.units ?? 'metric',
          )}
          layout={layout}
          selected={selected}
          onSelect={setSelected}
          find={find}
        />
      </div>
      <CoupletEditor
        key={selected?.join() ?? 'none'}
        path={selected}
        keyTo={now.key}
        ground={ground}
        options={options}
        replaced={(key, appraisal) => setNow({ key, appraisal })}
        reword={(lead, words) => setNow({ ...now, key: rewordLead(now.key, selected!, lead, words) })}
        {...(ban ? { ban } : {})}
      />
    </div>
  );
}

/** Keeping a key under its name, and taking a kept one away. */
function useKeeping(body: KeptKey, kept: NamedKey | undefined) {
  const held = useQuery(lookalikesQuery).data;
  const saved = useSaved();
  const { save, problem, say } = useSaving();
  const keep = () => {
    const sent = { ...body, baseRevision: held?.revision ?? 0 };
    return save(
      () =>
        kept
          ? call('PUT /api/library/keys/{id}', { params: { id: kept.id }, body: sent })
          : call('POST /api/library/keys', { body: sent }),
      { done: ({ revision }) => saved(t`“${body.title}” is kept.`, revision) },
    );
  };
  const drop = () =>
    save(() => call('DELETE /api/library/keys/{id}', { params: { id: kept!.id } }), {
      done: ({ revision }) => saved(t`The key is taken away.`, revision),
    });
  return { keep, drop, problem, say };
}

function Lines({
  lines,
  layout,
  selected,
  onSelect,
  find,
}: {
  lines: readonly KeyLine[];
  layout: Layout;
  selected: number[] | undefined;
  onSelect(path: number[]): void;
  find: FoundTaxon;
}) {
  const classOf = (line: KeyLine, before: KeyLine | undefined) =>
    `${before?.couplet === line.couplet || layout === 'indented' ? '' : keysStyles['first']} ${selected && selected.join() === line.path.join() ? keysStyles['chosen-couplet'] : ''}`;
  return (
    <table className={keysStyles['key-lines']} aria-label={t`The key`}>
      <tbody>
        {lines.map((line, i) => (
          <tr key={line.label} id={`couplet-${line.label}`} className={classOf(line, lines[i - 1])}>
            <td style={{ paddingLeft: 4 + line.depth * 13 }}>
              <LinkButton aria-label={t`Change couplet ${line.couplet}`} onClick={() => onSelect(line.path)}>
                {line.label}
              </LinkButton>
            </td>
            <td>
              {line.condition.states?.[0] && (
                <StatePicture characterId={line.condition.characterId} state={line.condition.states[0]} />
              )}
            </td>
            <td>{line.words}</td>
            <td>
              {'couplet' in line.to ? (
                layout === 'bracketed' && <a href={`#couplet-${line.to.couplet}`}>{line.to.couplet}</a>
              ) : (
                <>
                  <Taxa ids={line.to.taxa} find={find} />
                  {line.to.clinch && (
                    <div className={`quiet ${keysStyles['clinch']}`}>
                      <Trans>clinched by {line.to.clinch}</Trans>
                    </div>
                  )}
                </>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Taxa({ ids, find }: { ids: readonly string[]; find: FoundTaxon }) {
  return (
    <>
      {ids.map((id, i) => {
        const taxon = find(id);
        return (
          <span key={id}>
            {i > 0 && t` or `}
            <strong>{nameOf(taxon, id)}</strong>{' '}
            <span className="latin">{taxon && scientificName(taxon)}</span>
          </span>
        );
      })}
    </>
  );
}
