import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Button } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { textOfFile } from './textOfFile.ts';
import styles from './importFile.module.css';
import { ImportWould } from './ImportWould.tsx';
import { takenBy, type SaidReport } from './imported.ts';
import { LinkButton, Problem } from './parts.tsx';
import { useSaving } from './useSaving.ts';

/** What is sent: the text of a file, whether to say only what it would do, and whether to replace what is stored. */
export interface Importing {
  csv: string;
  dryRun: boolean;
  replace?: boolean;
}

/** Characters up to which a file is shown as it would be pasted. */
const SHOWN = 60_000;

interface ImportFileProps<Report> {
  send(file: Importing): Promise<Report>;
  example: string;
  accept?: string;
  /** A file that is chosen already: what it would do is shown at once. */
  given?: { name: string; text: string };
  /** What is stored stays unless the person chooses to have it replaced: the words of that choice. */
  asksToReplace?: (count: number) => string;
  /** `here` is false where the page was left before the import had ended: then nothing may bring one back to it. */
  onDone(report: Report, here: boolean): void;
}

/** The table that was chosen or typed, and what was said of it. What was said of another one says nothing. */
function useImport<Report extends SaidReport>({
  send: ask,
  given,
  asksToReplace,
  onDone,
}: ImportFileProps<Report>) {
  const here = useRef(false);
  useEffect(() => {
    here.current = true;
    return () => {
      here.current = false;
    };
  }, []);
  const [typed, setTyped] = useState('');
  /** A file too long to be looked over in a box. */
  const [file, setFile] = useState(given);
  const csv = file?.text ?? typed;
  /** What was said of a table; of another one it says nothing. */
  const [seen, setSeen] = useState<{ csv: string; report: Report }>();
  const report = seen?.csv === csv ? seen.report : undefined;
  const { save, saving, problem, say } = useSaving();
  const [replace, setReplace] = useState(false);
  const send = (dryRun: boolean) =>
    save(() => ask({ csv, dryRun, ...(asksToReplace ? { replace } : {}) }), {
      done: (answer) => (dryRun ? setSeen({ csv, report: answer }) : onDone(answer, here.current)),
      refused: () => {
        setSeen(undefined);
        return false;
      },
    });
  const asked = useRef(false);
  useEffect(() => {
    if (!given || asked.current) return;
    asked.current = true;
    void send(true);
  });
  const choose = async (chosen: File | undefined) => {
    if (!chosen) return;
    const text = await textOfFile(chosen);
    setFile(text.length > SHOWN ? { name: chosen.name, text } : undefined);
    setTyped(text.length > SHOWN ? '' : text);
    say(undefined);
  };
  return { csv, file, setFile, typed, setTyped, choose, send, report, replace, setReplace, saving, problem };
}

/** A file or pasted table, what importing it would do, and then doing it. What was chosen or typed stays on any error. */
export function ImportFile<Report extends SaidReport>(props: ImportFileProps<Report>) {
  const { asksToReplace } = props;
  const importing = useImport(props);
  const { csv, send, report, replace, setReplace, saving, problem } = importing;
  const replaced = report?.replaced ?? [];
  const takes = report ? takenBy(report, asksToReplace !== undefined && replace) : 0;
  return (
    <div className={styles['import-box']}>
      <Chooser {...importing} example={props.example} accept={props.accept} />
      {problem && <Problem>{problem}</Problem>}
      {report && (
        <ImportWould
          report={report}
          takes={takes}
          replacing={
            asksToReplace && {
              words: asksToReplace(replaced.length),
              chosen: replace,
              choose: () => setReplace(!replace),
            }
          }
        />
      )}
      <Button disabled={!csv.trim()} loading={saving && !report} onClick={() => void send(true)}>
        <Trans>See what it would do</Trans>
      </Button>{' '}
      <Button
        type="primary"
        disabled={!report || takes === 0}
        loading={saving && report !== undefined}
        onClick={() => void send(false)}
      >
        <Trans>Import</Trans>
      </Button>
    </div>
  );
}

interface ChooserProps {
  file: { name: string; text: string } | undefined;
  setFile(file: undefined): void;
  typed: string;
  setTyped(text: string): void;
  choose(file: File | undefined): Promise<void>;
  example: string;
  accept: string | undefined;
}

/** A file, or a box to paste a table into. */
function Chooser({
  file,
  setFile,
  typed,
  setTyped,
  choose,
  example,
  accept = '.csv,.tsv,.txt,text/csv',
}: ChooserProps) {
  return (
    <>
      <p>
        <label>
          <Trans>Choose a file:</Trans>{' '}
          <input type="file" accept={accept} onChange={(event) => void choose(event.target.files?.[0])} />
        </label>{' '}
        <Trans>or paste the table:</Trans>
      </p>
      {file && (
        <p role="note">
          <Trans>
            {file.name}, {Math.round(file.text.length / 1000)} kB, is chosen.
          </Trans>{' '}
          <LinkButton onClick={() => setFile(undefined)}>
            <Trans>Paste something instead</Trans>
          </LinkButton>
        </p>
      )}
      <textarea
        aria-label={t`Table`}
        hidden={file !== undefined}
        value={typed}
        placeholder={example}
        spellCheck={false}
        onChange={(event) => setTyped(event.target.value)}
      />
    </>
  );
}
