import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { MOST_PICTURES } from '@hurrow/contract/limits';
import type { Entry } from '@hurrow/contract/notebook';
import type { Sitting } from '@hurrow/contract/sitting';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useState, useSyncExternalStore, type ReactNode } from 'react';
import { Link, Route, Routes, useLocation, useNavigate, useParams } from 'react-router';
import { SHOWN_TITLES } from '@hurrow/core/view';
import { call, isProblem, messageOf } from '../app/api.ts';
import { sessionQuery } from '../app/session.ts';
import { Drawn } from './Drawn.tsx';
import { EntryForm } from './EntryForm.tsx';
import { blankEntry, isBlank } from './noted.ts';
import type { NoteBox } from './noteBox.ts';
import type { HeldEntry } from './noteStore.ts';
import styles from './notebook.module.css';
import student from '../student/student.module.css';
import ui from '../app/parts.module.css';
import { newId } from '../app/newId.ts';
import { inTongue } from '../language/inTongue.ts';

const OWN = ['notebook', 'own'];

/** A student's own notebook on the phone: works without a signal. */
export default function OwnNotebook({ sitting, box }: { sitting: Sitting; box: NoteBox }) {
  return (
    <Routes>
      <Route path="" element={<Entries box={box} />} />
      <Route path=":entryId" element={<Writing sitting={sitting} box={box} />} />
    </Routes>
  );
}

function Page({ title, back, children }: { title: string; back: string; children: ReactNode }) {
  return (
    <>
      <header className={student['phone-bar']}>
        <h1>{title}</h1>
        <Link className={ui['press']} to={back}>
          <Trans>Back</Trans>
        </Link>
      </header>
      <main className={student['pad']}>{children}</main>
    </>
  );
}

/** Goes with the way to a new entry, also over a reload. */
const BEGUN_HERE = { begun: true };

const useOwn = () => useQuery({ queryKey: OWN, queryFn: () => call('GET /api/sit/notebook'), retry: false });

/** What is written of an entry's state under it. */
const STATES: Record<HeldEntry['state'], string> = {
  draft: t`not finished`,
  waiting: t`waits on this phone for a signal`,
  kept: '',
  refused: t`was not taken`,
};

function Entries({ box }: { box: NoteBox }) {
  const { entries: held, unkept } = useSyncExternalStore(box.subscribe, box.snapshot);
  const own = useOwn();
  const all = useMemo(() => {
    const here = new Set(held.map(({ id }) => id));
    const others = (own.data?.entries ?? []).filter(({ id }) => !here.has(id));
    return [
      ...held.map(({ id, body, state, message, pictures }) => ({
        id,
        body,
        said: message ?? STATES[state],
        pictures: pictures.length,
      })),
      ...others.map((entry) => ({ id: entry.id, body: entry, said: '', pictures: entry.pictures.length })),
    ].sort((x, y) => y.body.day.localeCompare(x.body.day));
  }, [held, own.data]);
  return (
    <Page title={t`Notebook`} back="/">
      <Link
        className={`${ui['press']} ${ui['chief']} ${student['wide-press']}`}
        to={`/notebook/${newId()}`}
        state={BEGUN_HERE}
      >
        <Trans>Note something at a tree</Trans>
      </Link>
      {unkept && (
        <p className={student['prompt']}>
          <Trans>This phone keeps nothing: leave this page open until what you wrote is sent.</Trans>
        </p>
      )}
      {own.error && !isProblem(own.error, 'offline') && <p role="alert">{messageOf(own.error)}</p>}
      {all.length === 0 && (
        <p>
          <Trans>Go to a tree, look, and write down what you see before you look for its name.</Trans>
        </p>
      )}
      <ul className={styles['entries']}>
        {all.map(({ id, body, said, pictures }) => (
          <li key={id}>
            <Link to={`/notebook/${id}`}>
              <strong>
                {body.tag || t`No tag`} · {inTongue(SHOWN_TITLES[body.organ])}
              </strong>
              <span>{body.words || t`${body.chosen.length} chosen`}</span>
              <small>
                {body.day}
                {pictures > 0 && ` · ${plural(pictures, { one: 'one photo', other: '# photos' })}`}
                {said && ` · ${said}`}
              </small>
              {body.drawing.length > 0 && <Drawn drawing={body.drawing} label={t`Its drawing`} />}
            </Link>
          </li>
        ))}
      </ul>
    </Page>
  );
}

function Writing({ sitting, box }: { sitting: Sitting; box: NoteBox }) {
  const { entryId = '' } = useParams();
  const own = useOwn();
  const today = useQuery(sessionQuery).data?.today;
  const held = box.find(entryId);
  const sent = own.data?.entries.find(({ id }) => id === entryId);
  const known = held ?? sent;
  const begun = (useLocation().state as typeof BEGUN_HERE | null)?.begun;
  // What this phone does not hold is not written over before it is read.
  if (!known && !begun)
    return (
      <Page title={t`Notebook`} back="/notebook">
        {own.isFetching
          ? t`Opening…`
          : own.data
            ? t`This entry is not in your notebook any more.`
            : t`This entry is not on this phone, and there is no signal to fetch it. Come back to it later; a new one can be written now.`}
      </Page>
    );
  return (
    <Form
      key={entryId}
      sitting={sitting}
      box={box}
      entryId={entryId}
      sent={sent}
      today={today ?? new Date().toISOString().slice(0, 10)}
    />
  );
}

interface FormProps {
  sitting: Sitting;
  box: NoteBox;
  entryId: string;
  sent: Entry | undefined;
  today: string;
}

function Form({ sitting, box, entryId, sent, today }: FormProps) {
  useSyncExternalStore(box.subscribe, box.snapshot);
  const held = box.find(entryId);
  const [body, setBody] = useState(() => held?.body ?? bodyOf(sent) ?? blankEntry(today));
  const queries = useQueryClient();
  const go = useNavigate();
  const photos =
    (held?.pictures.length ?? 0) +
    (sent?.pictures.filter((id) => !held?.pictures.some((one) => one.id === id)).length ?? 0);
  const write = (next: typeof body) => {
    setBody(next);
    // What was kept is taken back as well: nothing that was wiped out returns.
    if (held || !isBlank(next, photos)) void box.keep(entryId, next);
  };
  const finish = async () => {
    await box.keep(entryId, body);
    await box.finish(entryId);
    await queries.invalidateQueries({ queryKey: OWN });
    void go('/notebook');
  };
  const erase = async () => {
    if (sent || held?.state === 'kept')
      await call('DELETE /api/sit/notebook/{entryId}', { params: { entryId } }).catch((error: unknown) => {
        if (!isProblem(error, 'missing')) throw error;
      });
    await box.drop(entryId);
    void go('/notebook', { replace: true });
    await queries.invalidateQueries({ queryKey: OWN });
  };
  const blank = isBlank(body);
  return (
    <Page title={t`At a tree`} back="/notebook">
      {held?.message && <p role="alert">{held.message}</p>}
      <EntryForm body={body} audience={sitting.audience} onBody={write}>
        <label className={styles['photo']} aria-disabled={photos >= MOST_PICTURES}>
          <Trans>Photograph it</Trans>
          <input
            type="file"
            accept="image/*"
            disabled={photos >= MOST_PICTURES}
            onChange={(event) => {
              const files = [...(event.target.files ?? [])].slice(0, MOST_PICTURES - photos);
              event.target.value = '';
              if (files.length > 0) void box.keep(entryId, body, files);
            }}
          />
        </label>
      </EntryForm>
      <Photos held={held} sent={sent} onDrop={(id) => void box.dropPicture(entryId, id)} />
      {blank && photos > 0 && (
        <p>
          <Trans>A photograph alone says little: write what you see, or choose what it is most like.</Trans>
        </p>
      )}
      <div className={styles['ends']}>
        <button
          type="button"
          className={`${ui['press']} ${ui['chief']}`}
          disabled={blank}
          onClick={() => void finish()}
        >
          <Trans>Into the notebook</Trans>
        </button>
        {(held ?? sent) && <Erase onErase={erase} />}
      </div>
    </Page>
  );
}

const bodyOf = (entry: Entry | undefined) => {
  if (!entry) return undefined;
  const { id: _id, pictures: _pictures, ...body } = entry;
  return body;
};

/** Taken out only when it is pressed twice. */
function Erase({ onErase }: { onErase(): Promise<void> }) {
  const [sure, setSure] = useState(false);
  const [problem, setProblem] = useState<string>();
  return (
    <>
      <button
        type="button"
        className={ui['press']}
        onClick={() =>
          sure ? void onErase().catch((error: unknown) => setProblem(messageOf(error))) : setSure(true)
        }
      >
        {sure ? t`Yes, tear it out` : t`Tear this entry out`}
      </button>
      {problem && <p role="alert">{problem}</p>}
    </>
  );
}

interface PhotosProps {
  held: HeldEntry | undefined;
  sent: Entry | undefined;
  onDrop(id: string): void;
}

/** The photographs of an entry: those on this phone, and those the server has. */
function Photos({ held, sent, onDrop }: PhotosProps) {
  const here = held?.pictures ?? [];
  const there = (sent?.pictures ?? []).filter((id) => !here.some((one) => one.id === id));
  if (here.length + there.length === 0) return null;
  return (
    <ul className={styles['photos']} aria-label={t`Photographs`}>
      {here.map(({ id, blob, sent: isSent }) => (
        <li key={id}>
          <HeldPhoto blob={blob} />
          {!isSent && (
            <button type="button" onClick={() => onDrop(id)}>
              <Trans>Take it out</Trans>
            </button>
          )}
        </li>
      ))}
      {there.map((id) => (
        <li key={id}>
          <img src={`/api/notebook/pictures/${id}`} alt={t`A photograph of this entry`} />
        </li>
      ))}
    </ul>
  );
}

function HeldPhoto({ blob }: { blob: Blob }) {
  const url = useMemo(() => URL.createObjectURL(blob), [blob]);
  useEffect(() => () => URL.revokeObjectURL(url), [url]);
  return <img src={url} alt={t`A photograph of this entry`} />;
}
