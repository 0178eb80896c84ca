import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { Link } from 'react-router';
import { ORGANS } from '@hurrow/core/vocabulary';
import { useVocabularyAsWritten } from '../app/data.ts';
import styles from './characterList.module.css';
import libraryStyles from './library.module.css';
import ui from '../app/parts.module.css';
import { inTongue } from '../language/inTongue.ts';

const KINDS = {
  categorical: t`one state`,
  ordinal: t`one state, in order`,
  measure: t`measure`,
  count: t`count`,
  months: t`months`,
  flag: t`yes or no`,
};

/** Every character with its id, states and unit: what may head a column of a table and stand in its cells. */
export default function CharacterList({ courseId }: { courseId: string }) {
  const vocabulary = useVocabularyAsWritten();
  const [text, setText] = useState('');
  const wanted = text.trim().toLowerCase();
  return (
    <section className={libraryStyles['library-page']}>
      <h1>
        <Trans>The characters</Trans>
      </h1>
      <p>
        <Trans>
          A column of a table is headed by the id or the words of a character; its cells hold states by id or
          words, ranges such as (4)5–9(10) cm, or yes and no.{' '}
          <a href="/api/library/export/characters" download>
            Take the list as CSV
          </a>
          , or <Link to={`/c/${courseId}/species/characters`}>change the characters</Link>.
        </Trans>
      </p>
      <input
        type="search"
        className={ui['typed']}
        aria-label={t`Find a character`}
        placeholder={t`find a character`}
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      {ORGANS.map(({ organ, title }) => {
        const rows = [...vocabulary.values()].filter(
          (entry) =>
            entry.organ === organ &&
            !entry.derived &&
            (!wanted || `${entry.id} ${entry.term} ${entry.plain}`.toLowerCase().includes(wanted)),
        );
        if (rows.length === 0) return null;
        return (
          <section key={organ}>
            <h2>{inTongue(title)}</h2>
            <table className={styles['characters']}>
              <tbody>
                {rows.map((entry) => (
                  <tr key={entry.id}>
                    <th scope="row">
                      <code>{entry.id}</code>
                    </th>
                    <td>{entry.term}</td>
                    <td>
                      {entry.anyOf ? t`any of` : KINDS[entry.kind]}
                      {entry.unit && entry.unit !== '1' ? `, ${entry.unit}` : ''}
                    </td>
                    <td>
                      {entry.states.map(({ id, term, definition }, i) => (
                        <span key={id} title={definition}>
                          {i > 0 && '; '}
                          <code>{id}</code>
                          {term === id ? '' : ` ${term}`}
                        </span>
                      ))}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
        );
      })}
    </section>
  );
}
