import type { Course } from '@hurrow/contract/courses';
import { useMemo } from 'react';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { bothWords, glossaryOf, rootsOf } from '@hurrow/core/lesson';
import { characterName } from '@hurrow/core/score';
import { commonName } from '@hurrow/core/taxon';
import type { Vocabulary } from '@hurrow/core/vocabulary';
import { StatePicture } from '../app/StatePicture.tsx';
import styles from './character.module.css';
import { upperFirst } from '@hurrow/core/words';
import { inTongue } from '../language/inTongue.ts';

interface GlossaryProps {
  course: Pick<Course, 'audience' | 'startsWith'>;
  list: readonly ProfiledTaxon[];
  vocabulary: Vocabulary;
}

/** The words that the trees of a course are described with: what each means, drawn, with the trees that show it. */
export function Glossary({ course, list, vocabulary }: GlossaryProps) {
  const { audience, startsWith } = course;
  const parts = useMemo(
    () => glossaryOf(list, vocabulary, audience, startsWith),
    [list, vocabulary, audience, startsWith],
  );
  const nameOf = new Map(list.map(({ taxon }) => [taxon.id, commonName(taxon)]));
  return (
    <div className={styles['words']}>
      {parts.map(({ title, entries }) => (
        <section key={title}>
          <h2>{inTongue(title)}</h2>
          {entries.map(({ character, states }) => (
            <div key={character.id}>
              <h3>{upperFirst(characterName(character, audience))}</h3>
              <dl>
                {states.map((state) => {
                  const { word, other } = bothWords(state, audience);
                  return (
                    <div key={state.id}>
                      <dt>
                        <StatePicture characterId={character.id} state={state.id} />
                        <span>
                          {word}
                          {other && <small>{other}</small>}
                        </span>
                      </dt>
                      <dd>
                        {state.definition}
                        {audience === 'technical' &&
                          rootsOf(state.term).map(({ word: root, from }) => (
                            <em key={root}>
                              {' '}
                              {root}: {from}.
                            </em>
                          ))}{' '}
                        <span className="quiet">
                          {state.trees.flatMap((id) => nameOf.get(id) ?? []).join(', ')}.
                        </span>
                      </dd>
                    </div>
                  );
                })}
              </dl>
            </div>
          ))}
        </section>
      ))}
    </div>
  );
}
