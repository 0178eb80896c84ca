import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import { useState } from 'react';
import type { JudgedSaying, OwnPhrase } from '@hurrow/core/notebook';
import { characterName } from '@hurrow/core/score';
import { commonName } from '@hurrow/core/taxon';
import { SHOWN_TITLES } from '@hurrow/core/view';
import type { Vocabulary } from '@hurrow/core/vocabulary';
import { StatePicture } from '../app/StatePicture.tsx';
import { useMayChange } from '../app/mayChange.ts';
import { sayingInWords, shownInWords, verdictInWords, type ReadWithEntry } from './courseNotebook.ts';
import { Drawn } from './Drawn.tsx';
import { sayingKey, sayingsOf, stretchesOf } from './noted.ts';
import { TeachWord } from './TeachWord.tsx';
import styles from './reading.module.css';
import ui from '../app/parts.module.css';
import { inField } from '../language/inField.ts';

interface EntrySheetProps {
  course: WholeCourse;
  shown: ReadWithEntry;
  vocabulary: Vocabulary;
  phrases: readonly OwnPhrase[];
}

/** An entry as it was written, and under it what it says in terms, against what its tree shows. */
export function EntrySheet({ course, shown, vocabulary, phrases }: EntrySheetProps) {
  const { entry, tree } = shown;
  return (
    <article className={styles['sheet']}>
      <h2>
        <Trans>
          {entry.student}: the {inField(SHOWN_TITLES[entry.organ])}
          {tree ? t` of ${commonName(tree.taxon)}` : entry.tag && t` of ${entry.tag}`}
        </Trans>
      </h2>
      <p className="quiet">
        {entry.day}
        {entry.onPaper && t`, on paper`}
      </p>
      <OwnWords {...{ course, shown, vocabulary, phrases }} />
      {(entry.drawing.length > 0 || entry.pictures.length > 0) && (
        <div className={styles['pictures']}>
          {entry.drawing.length > 0 && (
            <Drawn drawing={entry.drawing} label={t`What ${entry.student} drew`} />
          )}
          {entry.pictures.map((id) => (
            <img key={id} src={`/api/notebook/pictures/${id}`} alt={t`Photograph by ${entry.student}`} />
          ))}
        </div>
      )}
      <Sayings shown={shown} vocabulary={vocabulary} course={course} />
      {!tree && (
        <p className="quiet">
          {entry.tag
            ? t`Say at the left which tree ${entry.tag} is, and the entry is read against it.`
            : t`Without a tag nobody knows which tree this was.`}
        </p>
      )}
    </article>
  );
}

/** The words with what was read underlined, and what nobody knows to be taught. */
function OwnWords({ course, shown, vocabulary, phrases }: EntrySheetProps) {
  const { entry, read } = shown;
  const [asked, ask] = useState<string>();
  const mayChange = useMayChange();
  if (!entry.words)
    return (
      <p className="quiet">
        <Trans>No words of their own.</Trans>
      </p>
    );
  return (
    <>
      <blockquote className={styles['words']}>
        {stretchesOf(entry.words, read).map(({ text, understood, unknown }, i) => {
          if (understood) {
            const character = vocabulary.get(understood.characterId)!;
            return (
              <mark
                key={i}
                data-verdict={understood.judged?.verdict}
                title={`${characterName(character, course.audience)}: ${sayingInWords(understood, character, course)}`}
              >
                {text}
              </mark>
            );
          }
          return unknown && mayChange ? (
            <button
              key={i}
              type="button"
              aria-expanded={asked === text}
              onClick={() => ask(asked === text ? undefined : text)}
            >
              {text}
            </button>
          ) : (
            <span key={i}>{text}</span>
          );
        })}
      </blockquote>
      {asked !== undefined && (
        <TeachWord
          key={asked}
          {...{ course, vocabulary, phrases }}
          phrase={asked}
          organ={entry.organ}
          onDone={() => ask(undefined)}
        />
      )}
    </>
  );
}

interface SayingsProps {
  shown: ReadWithEntry;
  vocabulary: Vocabulary;
  course: WholeCourse;
}

function Sayings({ shown: { read, tree }, vocabulary, course }: SayingsProps) {
  const said = sayingsOf(read);
  if (said.length === 0)
    return (
      <p className="quiet">
        <Trans>It says nothing that could be read as a character.</Trans>
      </p>
    );
  return (
    <table className={`${ui['plain-table']} ${styles['sayings']}`}>
      <thead>
        <tr>
          <th>
            <Trans>Character</Trans>
          </th>
          <th>
            <Trans>What was noted</Trans>
          </th>
          {tree && (
            <th>
              <Trans>What the tree shows</Trans>
            </th>
          )}
          {tree && <th />}
        </tr>
      </thead>
      <tbody>
        {said.map((saying) => {
          const character = vocabulary.get(saying.characterId)!;
          const { judged, how } = saying;
          return (
            <tr key={sayingKey(saying)}>
              <td>{characterName(character, course.audience)}</td>
              <td>
                <span>
                  <StatePicture characterId={saying.characterId} state={saying.state} />
                  {sayingInWords(saying, character, course)}
                  <small className="quiet">{inField(how)}</small>
                </span>
              </td>
              {tree && (
                <td>
                  <span>
                    {judged?.right[0] && (
                      <StatePicture characterId={saying.characterId} state={judged.right[0]} />
                    )}
                    {shownInWords(judged, character, course)}
                  </span>
                </td>
              )}
              {tree && <Verdict judged={judged} />}
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

const Verdict = ({ judged }: { judged: JudgedSaying | undefined }) => (
  <td className={judged?.verdict === 'misread' ? 'rust' : judged?.verdict === 'agrees' ? '' : 'quiet'}>
    {verdictInWords(judged)}
  </td>
);
