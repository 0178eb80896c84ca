import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Button } from 'antd';
import { useState } from 'react';
import { BUILT_IN, ORGANS, type Character } from '@hurrow/core/vocabulary';
import { useLibrary, useVocabularyAsWritten } from '../app/data.ts';
import styles from './library.module.css';
import { CharacterForm } from './CharacterForm.tsx';
import { blank } from './characterDraft.ts';
import { inTongue } from '../language/inTongue.ts';

/** All characters of the library by organ, and one of them with its words, states and misread rates. */
export default function Characters() {
  const { library } = useLibrary();
  const vocabulary = useVocabularyAsWritten();
  const [open, setOpen] = useState('leaf.shape');
  const [fresh, setFresh] = useState<Character>();
  if (!library) return null;
  const character = fresh ?? vocabulary.get(open) ?? vocabulary.get('leaf.shape')!;
  const own = new Set(library.characters.map(({ id }) => id));
  const kindOf = (id: string) => (own.has(id) ? (BUILT_IN.has(id) ? 'changed' : 'own') : '');
  return (
    <section className={styles['characters']}>
      <nav aria-label={t`Characters`}>
        <div className={styles['find-character']}>
          <Button size="small" onClick={() => setFresh(blank('leaf'))}>
            <Trans>New character</Trans>
          </Button>
        </div>
        {ORGANS.map(({ organ, title }) => (
          <div key={organ}>
            <p className={styles['nav-title']}>{inTongue(title)}</p>
            {[...vocabulary.values()]
              .filter((entry) => entry.organ === organ && !entry.derived)
              .map((entry) => (
                <button
                  key={entry.id}
                  aria-current={!fresh && entry.id === character.id ? 'true' : undefined}
                  onClick={() => {
                    setFresh(undefined);
                    setOpen(entry.id);
                  }}
                >
                  {entry.term} <small>{kindOf(entry.id)}</small>
                </button>
              ))}
          </div>
        ))}
      </nav>
      <CharacterForm
        key={fresh ? 'new' : character.id}
        character={character}
        isNew={fresh !== undefined}
        isOwn={own.has(character.id)}
        revision={library.revision}
        onSaved={(id) => {
          setFresh(undefined);
          setOpen(id);
        }}
      />
    </section>
  );
}
