import { plural, t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import type { Item } from '@hurrow/contract/outings';
import { useEffect, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { kindOf } from '@hurrow/core/assembly';
import { REACH_TITLES, REFUSAL_WORDS, WHO_DECIDES } from '@hurrow/core/grounds';
import { commonName } from '@hurrow/core/taxon';
import { useLibrary } from '../app/data.ts';
import { Problem } from '../app/parts.tsx';
import type { GatherLine } from './gathering.ts';
import type { Gathering } from './useGathering.ts';
import styles from './gather.module.css';
import { inField, sentenceSaid } from '../language/inField.ts';
import { likelySaid } from './likelySaid.ts';
import { upperFirst } from '@hurrow/core/words';

/** What is gathered, a row each, thumb-high: a tick with the whole hand, and what else would do beneath it. */
export function GatherRows({ gathering }: { gathering: Gathering }) {
  const { lines = [], refused } = gathering;
  // A label that is scanned asks for its piece.
  const asked = useSearchParams()[0].get('item');
  return (
    <>
      {refused && <Problem>{refused}</Problem>}
      <ol className={styles['rows']} aria-label={t`To be gathered`}>
        {lines.map((line) => (
          <Row
            key={line.need.id}
            line={line}
            gathering={gathering}
            asked={line.items.some(({ id }) => id === asked)}
          />
        ))}
      </ol>
      {lines.length === 0 && (
        <p>
          <Trans>Nothing is wanted yet: add a species, or make the list for a quiz that has stations.</Trans>
        </p>
      )}
      {lines.length > 0 && <p className="quiet">{inField(WHO_DECIDES)}</p>}
    </>
  );
}

interface RowProps {
  line: GatherLine;
  gathering: Gathering;
}

function Row({ line, gathering, asked }: RowProps & { asked: boolean }) {
  const { profileOf } = useLibrary();
  const [open, setOpen] = useState(asked);
  const row = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (asked) row.current?.scrollIntoView({ block: 'center' });
  }, [asked]);
  const { need, source, items, spent, number } = line;
  const taxon = profileOf(need.taxonId)?.taxon;
  const tree = gathering.whole!.trees.find(({ id }) => id === (items[0]?.treeId ?? source?.treeId));
  const kindSaid = inField(kindOf(need.kind)!.title);
  const [item] = items;
  const name = taxon ? commonName(taxon) : need.taxonId;
  return (
    <li ref={row} data-state={item ? 'cut' : source ? 'wanted' : 'none'}>
      <div className={styles['head']}>
        {(source ?? item) ? (
          <button
            type="button"
            className={styles['tick']}
            aria-pressed={item !== undefined}
            aria-label={t`${name}, ${kindSaid}: gathered`}
            onClick={() => (item ? setOpen(true) : gathering.cut(line))}
          >
            {item ? '✓' : number}
          </button>
        ) : (
          <span className={styles['none']} aria-hidden="true">
            {number}
          </span>
        )}
        <div>
          <strong>
            {name}, {kindSaid}
          </strong>
          {tree && (source ?? item) && (
            <p>
              <b>{tree.tag}</b>
              {source && (
                <>
                  {' '}
                  · {inField(REACH_TITLES[source.reach])} · {likelySaid(source.likely)}
                </>
              )}
            </p>
          )}
          {!source && !item && (
            <>
              <p className="rust">{line.why && sentenceSaid(line.why)}</p>
              <p>
                <Trans>Instead: {line.instead[0] && sentenceSaid(line.instead[0].words)}</Trans>
              </p>
            </>
          )}
          <p className="quiet">
            {item
              ? t`Good until ${item.goodUntil}${item.stored ? t`, in ${item.stored}` : ''}.`
              : source && inField(line.keeping.bag)}
            {need.serves && t` For ${need.serves}.`}
            {spent.length > 0 &&
              t` ${spent.length} before ${plural(spent.length, { one: 'is', other: 'are' })} ${spent.map(({ state }) => inField(state)).join(', ')}.`}
          </p>
        </div>
        <button
          type="button"
          className={styles['more']}
          aria-expanded={open}
          aria-label={t`More about ${name}`}
          onClick={() => setOpen(!open)}
        >
          {open ? '−' : '…'}
        </button>
      </div>
      {open && <More line={line} gathering={gathering} {...(item ? { item } : {})} />}
    </li>
  );
}

function More({ line, gathering, item }: RowProps & { item?: Item }) {
  const trees = gathering.whole!.trees;
  const tagOf = (id: string) => trees.find((tree) => tree.id === id)?.tag ?? t`a tree that is gone`;
  const { source, others, refused, instead, cautions } = line;
  return (
    <div className={styles['unfolded']}>
      {item && <Piece item={item} gathering={gathering} />}
      {source && (
        <dl>
          <dt>
            <Trans>How much</Trans>
          </dt>
          <dd>{inField(line.amount)}</dd>
          <dt>
            <Trans>How</Trans>
          </dt>
          <dd>{line.how.map(inField).join(' ')}</dd>
          <dt>
            <Trans context="a cutting">Keep</Trans>
          </dt>
          <dd>
            <Trans>
              {inField(line.keeping.bag)} {inField(line.keeping.keep)} Usually good for{' '}
              <Plural value={line.keeping.days} one="a day" other="# days" />;{' '}
              {line.keeping.spares === 0
                ? t`no spares`
                : plural(line.keeping.spares, { one: 'one spare', other: '# spares' })}
              .
            </Trans>
          </dd>
        </dl>
      )}
      {cautions.map(({ kind, effect, care }) => (
        <p key={kind + effect} className="gold">
          <b>{upperFirst(inField(kind))}.</b> {effect} {care}
        </p>
      ))}
      {others.length > 0 && (
        <p>
          <Trans>Or from</Trans>{' '}
          {others.map(({ treeId, likely, reach }) => (
            <button key={treeId} type="button" onClick={() => gathering.choose(line.need.id, treeId)}>
              {tagOf(treeId)}, {inField(REACH_TITLES[reach])}, {likelySaid(likely)}
            </button>
          ))}
        </p>
      )}
      {refused.length > 0 && (
        <ul>
          {refused.map(({ treeId, why }) => (
            <li key={treeId}>
              <Trans>
                Not from {tagOf(treeId)}: {inField(REFUSAL_WORDS[why])}.
              </Trans>
            </li>
          ))}
        </ul>
      )}
      {!item && line.spent.length === 0 && (
        <button type="button" disabled={gathering.saving} onClick={() => gathering.takeOff(line.need.id)}>
          <Trans>Take it off the list</Trans>
        </button>
      )}
      {instead.length > 1 && (
        <ul>
          {instead.slice(1).map(({ kind, words }) => (
            <li key={kind}>
              <Trans>Or: {sentenceSaid(words)}</Trans>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

/** A piece that was cut: where it is kept, who confirmed its name, and what has become of it. */
function Piece({ item, gathering }: { item: Item; gathering: Gathering }) {
  const { changeItem: change, takeBack } = gathering;
  const text = (label: string, name: 'stored' | 'confirmedBy', most: number) => (
    <label>
      {label}
      <input
        key={item[name]}
        defaultValue={item[name]}
        maxLength={most}
        onBlur={({ target }) =>
          target.value.trim() !== item[name] && change(item, { [name]: target.value.trim() })
        }
      />
    </label>
  );
  return (
    <div className={styles['piece']}>
      {text(t`Kept in`, 'stored', 120)}
      {text(t`Name confirmed by a second person`, 'confirmedBy', 80)}
      <label>
        <Trans>Spares</Trans>
        <input
          type="number"
          min={0}
          max={50}
          key={item.spares}
          defaultValue={item.spares}
          onBlur={({ target }) => {
            const spares = Math.round(Number(target.value));
            if (target.value !== '' && spares >= 0 && spares <= 50 && spares !== item.spares)
              change(item, { spares });
          }}
        />
      </label>
      <p>
        <button type="button" onClick={() => change(item, { state: 'wilted' })}>
          <Trans>It has wilted</Trans>
        </button>
        <button type="button" onClick={() => change(item, { state: 'lost' })}>
          <Trans>It is lost</Trans>
        </button>
        <button type="button" onClick={() => takeBack(item.id)}>
          <Trans>Not cut after all</Trans>
        </button>
        {item.spares > 0 && (
          <button
            type="button"
            onClick={() => change(item, { spares: item.spares - 1, note: t`A spare took its place.` })}
          >
            <Trans>Put a spare in its place</Trans>
          </button>
        )}
      </p>
      {item.trace.length > 0 && (
        <ol>
          {item.trace.map(({ at, by, what }) => (
            <li key={at + what}>
              {at.slice(0, 16).replace('T', ' ')}, {by}: {what}
            </li>
          ))}
        </ol>
      )}
    </div>
  );
}
