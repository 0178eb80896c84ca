import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { SureWay } from '@hurrow/contract/lookalikes';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useMemo, useState } from 'react';
import { errorOf } from '@hurrow/core/evidence';
import { characterName } from '@hurrow/core/score';
import { call } from '../app/api.ts';
import { useVocabulary } from '../app/data.ts';
import { useSaved } from '../library/useSaved.tsx';
import type { ContrastProps } from './contrastProps.ts';
import { lookalikesQuery, pairKey } from './lookalikesQuery.ts';
import styles from './contrast.module.css';
import { LinkButton, Problem } from '../app/parts.tsx';
import ui from '../app/parts.module.css';
import { useSaving } from '../app/useSaving.ts';
import { decimal, listInWords } from '../language/inWords.ts';

type Props = ContrastProps & { ranked: string[]; options: object };

/** What the instructor calls the sure way between two taxa, and whether the scores bear it out on the field date. */
export function SureWay(props: Props) {
  const { a, b } = props;
  const held = useQuery(lookalikesQuery).data;
  const [editing, setEditing] = useState(false);
  if (!held) return null;
  const key = pairKey(a.taxon.id, b.taxon.id);
  const note = held.sureWays[key];
  if (editing)
    return <Form key={key} {...props} note={note} revision={held.revision} close={() => setEditing(false)} />;
  if (!note)
    return (
      <p className={styles['sure-way']}>
        <LinkButton onClick={() => setEditing(true)}>
          <Trans>Write down the sure way to tell them apart</Trans>
        </LinkButton>
      </p>
    );
  return (
    <div className={styles['sure-way']}>
      <p>
        <strong>
          <Trans>The sure way:</Trans>
        </strong>{' '}
        {note.text}{' '}
        <LinkButton onClick={() => setEditing(true)}>
          <Trans>Change</Trans>
        </LinkButton>
      </p>
      <Check {...props} note={note} />
    </div>
  );
}

function Check({ list, a, b, view, audience, note, options }: Props & { note: SureWay }) {
  const vocabulary = useVocabulary();
  const found = useMemo(
    () => errorOf(list, a.taxon.id, b.taxon.id, note.characters, vocabulary, view, options),
    [list, a, b, note, vocabulary, view, options],
  );
  if (note.characters.length === 0)
    return (
      <p className="quiet">
        <Trans>It names no character, so it cannot be checked against the scores.</Trans>
      </p>
    );
  const names = (ids: readonly string[]) =>
    listInWords(
      ids.flatMap((id) => (vocabulary.has(id) ? characterName(vocabulary.get(id)!, audience) : [])),
    );
  const error = `${decimal(100 * found.error, 1)} %`;
  return (
    <p className={found.verdict === 'settled' ? 'quiet' : 'rust'} role="note">
      {found.verdict === 'settled'
        ? t`The scores bear it out: ${names(note.characters)} alone leave ${error} error.`
        : t`The scores do not bear it out in this view: ${names(note.characters)} alone leave ${error} error.`}
      {found.unseen.length > 0 &&
        t` ${names(found.unseen)} cannot be seen here on this date, or is not scored for both.`}
    </p>
  );
}

function Form({
  a,
  b,
  audience,
  ranked,
  note,
  revision,
  close,
}: Props & { note: SureWay | undefined; revision: number; close(): void }) {
  const vocabulary = useVocabulary();
  const saved = useSaved();
  const [text, setText] = useState(note?.text ?? '');
  const [characters, setCharacters] = useState(note?.characters ?? ranked.slice(0, 1));
  const { save: saving, problem } = useSaving();
  const shown = [...new Set([...characters, ...ranked.slice(0, 12)])].filter((id) => vocabulary.has(id));
  const flip = (id: string) =>
    setCharacters(characters.includes(id) ? characters.filter((other) => other !== id) : [...characters, id]);
  const save = async () => {
    const body = { text, characters, baseRevision: revision };
    await saving(
      () =>
        call('PUT /api/library/pairs/{a}/{b}/sure-way', {
          params: { a: a.taxon.id, b: b.taxon.id },
          body,
        }),
      {
        done: async ({ revision: made }) => {
          await saved(text.trim() ? t`The sure way is saved.` : t`The sure way is taken away.`, made);
          close();
        },
      },
    );
  };
  return (
    <form
      className={styles['sure-way']}
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <label>
        <Trans>The sure way, in your own words</Trans>
        <textarea value={text} rows={2} maxLength={600} onChange={(event) => setText(event.target.value)} />
      </label>
      <p className="quiet">
        <Trans>It rests on</Trans>
      </p>
      <div className={ui['chips']}>
        {shown.map((id) => (
          <button
            type="button"
            key={id}
            aria-pressed={characters.includes(id)}
            {...(characters.includes(id) ? { 'data-frequency': 'always' } : {})}
            onClick={() => flip(id)}
          >
            {characterName(vocabulary.get(id)!, audience)}
          </button>
        ))}
      </div>
      {problem && <Problem>{problem}</Problem>}
      <Button type="primary" htmlType="submit">
        <Trans>Save the sure way</Trans>
      </Button>{' '}
      <Button onClick={close}>
        <Trans>Leave without saving</Trans>
      </Button>
    </form>
  );
}
