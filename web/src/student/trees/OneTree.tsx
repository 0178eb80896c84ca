import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useMemo } from 'react';
import { useParams } from 'react-router';
import { characterName, valueInWords } from '@hurrow/core/score';
import { commonName } from '@hurrow/core/taxon';
import { type View } from '@hurrow/core/view';
import { organsInOrder } from '@hurrow/core/vocabulary';
import { Cautions } from '../../app/Cautions.tsx';
import { SiteSpecimen } from '../../app/Drawings.tsx';
import { Latin } from '../../app/Names.tsx';
import { type Ground } from '../../lookalikes/setting.ts';
import styles from './trees.module.css';
import { dayLabel } from '../../language/inWords.ts';
import { qualifiersInWords } from '../../language/qualifiersInWords.ts';
import { PhonePage } from './PhonePage.tsx';
import { inTongue } from '../../language/inTongue.ts';

/** A tree organ by organ, drawn as it stands on the day. */
export function OneTree({ ground }: { ground: Ground }) {
  const { taxonId } = useParams();
  const { course, library, vocabulary, profiles, setting } = ground;
  const profiled = profiles.find(({ taxon }) => taxon.id === taxonId);
  const view = useMemo<View>(
    () => ({ ...setting.view, organs: ['twig', 'bud', 'leaf', 'fruit', 'bark'] }),
    [setting.view],
  );
  if (!profiled || !course)
    return (
      <PhonePage title={t`Trees`}>
        <Trans>No such tree is on your list.</Trans>
      </PhonePage>
    );
  const { taxon, scores } = profiled;
  return (
    <PhonePage title={commonName(taxon)}>
      <p>
        <Latin names={taxon} /> · {taxon.family}
      </p>
      <SiteSpecimen
        library={library}
        course={course}
        profiled={profiled}
        view={view}
        width={362}
        height={330}
      />
      <p className="quiet">
        <Trans>The typical specimen as on {dayLabel(view.day)}, drawn from its scores.</Trans>
      </p>
      {taxon.memoryAid && <p>{taxon.memoryAid}</p>}
      <Cautions cautions={taxon.cautions} />
      {organsInOrder(course.startsWith).map(({ organ, title }) => {
        const said = [...vocabulary.values()]
          .filter((character) => character.organ === organ)
          .flatMap((character) =>
            scores
              .filter((score) => score.characterId === character.id)
              .map((score) => ({ character, score })),
          );
        if (said.length === 0) return null;
        return (
          <section className={styles['organ']} key={organ}>
            <h2>{inTongue(title)}</h2>
            {said.map(({ character, score }, i) => (
              <span key={`${character.id}${qualifiersInWords(score.qualifiers)}`}>
                {i > 0 && '; '}
                <b>{characterName(character, course.audience)}</b>{' '}
                {Object.keys(score.qualifiers).length > 0 && <i>{qualifiersInWords(score.qualifiers)}: </i>}
                {valueInWords(score.value, character, course.audience, course.units)}
              </span>
            ))}
            .
          </section>
        );
      })}
    </PhonePage>
  );
}
