import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import { Button, Input, Select } from 'antd';
import { useMemo, useState } from 'react';
import type { OwnPhrase } from '@hurrow/core/notebook';
import { statesToSee } from '@hurrow/core/station';
import { characterName } from '@hurrow/core/score';
import { SHOWN_BY, stateOf, type ShownOrgan, type Vocabulary } from '@hurrow/core/vocabulary';
import { useTeaching } from './useTeaching.ts';
import styles from './reading.module.css';

interface TeachWordProps {
  course: WholeCourse;
  vocabulary: Vocabulary;
  phrases: readonly OwnPhrase[];
  phrase: string;
  organ: ShownOrgan;
  onDone(): void;
}

/** Says what words of the class mean: from then on they are read so in every entry. */
export function TeachWord({ course, vocabulary, phrases, phrase, organ, onDone }: TeachWordProps) {
  const [text, setText] = useState(phrase);
  const [meaning, setMeaning] = useState<string>();
  const { teach, saving, problem } = useTeaching(course.id);
  const options = useMemo(
    () =>
      [...vocabulary.values()]
        .filter((character) => SHOWN_BY[character.organ] === organ && statesToSee(character).length > 1)
        .map((character) => ({
          label: characterName(character, course.audience),
          options: statesToSee(character).map((id) => {
            const state = stateOf(character, id)!;
            const word = course.audience === 'plain' ? state.plain : state.term;
            return {
              value: `${character.id} ${id}`,
              label: `${characterName(character, course.audience)}: ${word}`,
            };
          }),
        })),
    [vocabulary, organ, course.audience],
  );
  const keep = async () => {
    const [characterId, state] = meaning!.split(' ');
    if (await teach([...phrases, { phrase: text.trim(), characterId: characterId!, state: state! }]))
      onDone();
  };
  return (
    <p className={styles['teach']}>
      <Input
        aria-label={t`Words`}
        value={text}
        maxLength={120}
        onChange={(event) => setText(event.target.value)}
      />{' '}
      <Trans>means</Trans>{' '}
      <Select
        showSearch
        aria-label={t`What it means`}
        placeholder={t`a state`}
        optionFilterProp="label"
        value={meaning}
        onChange={setMeaning}
        options={options}
      />{' '}
      <Button
        type="primary"
        loading={saving}
        disabled={!meaning || text.trim() === ''}
        onClick={() => void keep()}
      >
        <Trans>Teach it</Trans>
      </Button>
      {problem && <span role="alert">{problem}</span>}
    </p>
  );
}
