import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { Photo } from '@hurrow/contract/photos';
import { Button } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { characterName, qualifierKey, type Qualifiers } from '@hurrow/core/score';
import { drawPlate, drawingToSvg, notShown, traitsInWords, type Traits } from '@hurrow/core/specimen';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { SHOWN_TITLES, type View } from '@hurrow/core/view';
import { QUALIFIER_NAMES, type QualifierName, type ShownOrgan } from '@hurrow/core/vocabulary';
import { download } from '../app/download.ts';
import { calendarAtSite, courseQuery, useLibrary } from '../app/data.ts';
import { DrawingSvg, specimenTraits } from '../app/Drawings.tsx';
import { useFieldDate } from '../app/fieldDate.tsx';
import { useKeys } from '../app/keys.ts';
import { Latin } from '../app/Names.tsx';
import { LargePhoto, PhotoChoice } from '../measuring/PhotoStrip.tsx';
import { photosQuery } from '../measuring/photosQuery.ts';
import { LinkButton } from '../app/parts.tsx';
import ui from '../app/parts.module.css';
import styles from './specimens.module.css';
import drawingsStyles from '../app/drawings.module.css';
import { inTongue } from '../language/inTongue.ts';
import { dayLabel, listInWords } from '../language/inWords.ts';
import { qualifiersInWords } from '../language/qualifiersInWords.ts';

const FRAME = { width: 900, height: 400 };
const DOZEN = { width: 300, height: 220 };
const DRAWN_ORGANS: ShownOrgan[] = ['twig', 'bud', 'leaf', 'flower', 'fruit', 'bark', 'habit', 'wood'];
const AGES = ['seedling', 'young', 'mature', 'old'];

/** What is laid on the bench: organs, age, ink, and which individual. */
interface Laid {
  organs: ShownOrgan[];
  /** Age of the plant, and whatever else the scores of this taxon make a difference of. */
  qualifiers: Qualifiers;
  ink: 'color' | 'line';
  lying: boolean;
  /** 0 is the typical specimen. */
  seed: number;
  dozen: boolean;
}

const AT_FIRST: Laid = {
  organs: ['twig', 'bud', 'leaf', 'fruit', 'bark'],
  qualifiers: { plantAge: 'mature' },
  ink: 'color',
  lying: false,
  seed: 0,
  dozen: false,
};

/** Where the server draws the same individual as a picture. */
const pictureOf = (
  courseId: string,
  taxonId: string,
  { organs, qualifiers, ink, lying, seed }: Laid,
  day: number,
): string =>
  `/api/library/taxa/${taxonId}/specimen.png?${new URLSearchParams({
    course: courseId,
    day: String(day),
    seed: String(seed),
    organs: organs.join(','),
    qualifiers: qualifierKey(qualifiers),
    ink,
    lying: String(lying),
  }).toString()}`;

/** Individuals of one taxon, drawn from its scores as on the field date: one large, or a dozen; to take along as SVG or PNG. */
export default function SpecimenBench({ courseId, taxonId }: { courseId: string; taxonId: string }) {
  const { library, vocabulary, profileOf } = useLibrary();
  const course = useQuery(courseQuery(courseId)).data;
  const { day } = useFieldDate();
  const [laid, setLaid] = useState<Laid>(AT_FIRST);
  const photos = useQuery(photosQuery(taxonId)).data?.photos ?? [];
  const [photoId, setPhotoId] = useState<string>();
  const beside = photos.find(({ id }) => id === photoId);
  const set = (change: Partial<Laid>) => setLaid((held) => ({ ...held, ...change }));
  const profiled = profileOf(taxonId);
  const { organs, qualifiers, ink, lying, seed, dozen } = laid;
  const view = useMemo<View>(
    () => ({ organs, day, nearness: 'hand', aids: ['eye', 'lens', 'cut'], qualifiers }),
    [organs, day, qualifiers],
  );
  const calendar = useMemo(
    () => (profiled && library ? calendarAtSite(profiled.taxon.calendar, library, course) : {}),
    [profiled, library, course],
  );
  // Redrawing a dozen takes the next twelve individuals.
  const step = dozen ? 12 : 1;
  useKeys({ r: () => set({ seed: seed + step }) });
  if (!profiled || !library)
    return (
      <section className={ui['page']}>
        <h1>
          <Trans>No such species</Trans>
        </h1>
        <p>
          <Trans>It is not in this library. Choose one from the list.</Trans>
        </p>
      </section>
    );
  const traitsOf = (individual: number) =>
    specimenTraits({ profiled, view, calendar, ...(individual ? { seed: individual } : {}) }, vocabulary);
  const units = course?.units ?? 'metric';
  const audience = course?.audience ?? 'technical';
  const ofOne = { units, plain: ink === 'line', lying };
  return (
    <section className={styles['specimens']}>
      <header>
        <h1>
          <Trans>Specimens of {commonName(profiled.taxon)}</Trans> <Latin names={profiled.taxon} />
        </h1>
        <Link to={`/c/${courseId}/species/${taxonId}`}>
          <Trans>Profile</Trans>
        </Link>
      </header>
      <Controls laid={laid} set={set} step={step} choices={qualifiersOf(profiled)} />
      {dozen ? (
        <Dozen
          traits={Array.from({ length: 12 }, (_, i) => traitsOf(seed + i + 1))}
          view={view}
          options={ofOne}
          from={seed + 1}
          onTake={(taken) => set({ seed: taken, dozen: false })}
        />
      ) : (
        <div className={beside ? styles['bench-pair'] : ''}>
          <One
            profiled={profiled}
            traits={traitsOf(seed)}
            view={view}
            options={ofOne}
            caption={t`${seed ? t`Individual ${seed}` : t`The typical specimen`}, ${qualifiersInWords(qualifiers)}, as on ${dayLabel(day)}.`}
            picture={pictureOf(courseId, taxonId, laid, day)}
            words={(traits) => traitsInWords(traits, organs, vocabulary, audience, units)}
          />
          {beside && <LargePhoto photo={beside} />}
        </div>
      )}
      <Foot {...{ courseId, profiled, organs, photos }} chosen={photoId} onChoose={setPhotoId} />
    </section>
  );
}

interface FootProps {
  courseId: string;
  profiled: ProfiledTaxon;
  organs: ShownOrgan[];
  photos: readonly Photo[];
  chosen: string | undefined;
  onChoose(photoId: string | undefined): void;
}

/** What the scores cannot show, and what a photo shows beside it. */
const Foot = ({ courseId, profiled, organs, photos, chosen, onChoose }: FootProps) => (
  <div className={styles['bench-foot']}>
    <Unshown profiled={profiled} organs={organs} courseId={courseId} />
    <div>
      <h2>
        <Trans>Beside a photo</Trans>
      </h2>
      <PhotoChoice photos={photos} chosen={chosen} onChoose={onChoose} />
      <p className="quiet">
        <Trans>
          {photos.length ? t`Choose one to lay it beside the drawing. ` : t`None yet. `}
          <Link to={`/c/${courseId}/species/${profiled.taxon.id}/measuring`}>
            Photos and measurements
          </Link>{' '}
          hold what a drawing can be checked against.
        </Trans>
      </p>
    </div>
  </div>
);

/** What the scores of a taxon make a difference of: for each qualifier the values that some score is limited to. */
function qualifiersOf({ scores }: ProfiledTaxon): [QualifierName, string[]][] {
  return QUALIFIER_NAMES.flatMap((name): [QualifierName, string[]][] => {
    if (name === 'plantAge') return [[name, AGES]];
    const values = [...new Set(scores.flatMap(({ qualifiers }) => qualifiers[name] ?? []))];
    return values.length ? [[name, values]] : [];
  });
}

const QUALIFIER_WORDS: Record<QualifierName, string> = {
  plantAge: t`age`,
  partAge: t`age of the part`,
  shoot: t`shoot`,
  light: t`light`,
  sex: t`sex`,
  setting: t`setting`,
};

function Controls({
  laid,
  set,
  step,
  choices,
}: {
  laid: Laid;
  set(change: Partial<Laid>): void;
  step: number;
  choices: [QualifierName, string[]][];
}) {
  const { organs, qualifiers, ink, lying, seed, dozen } = laid;
  const toggle = (organ: ShownOrgan) =>
    set({
      organs: organs.includes(organ)
        ? organs.filter((each) => each !== organ)
        : DRAWN_ORGANS.filter((each) => each === organ || organs.includes(each)),
    });
  return (
    <div className={styles['bench-controls']}>
      <div role="group" aria-label={t`Organs shown`}>
        {DRAWN_ORGANS.map((organ) => (
          <button
            key={organ}
            className={organs.includes(organ) ? `${styles['chip']} ${styles['on']}` : styles['chip']}
            aria-pressed={organs.includes(organ)}
            onClick={() => toggle(organ)}
          >
            {inTongue(SHOWN_TITLES[organ])}
          </button>
        ))}
      </div>
      {choices.map(([name, values]) => (
        <label key={name}>
          {QUALIFIER_WORDS[name]}{' '}
          <select
            value={qualifiers[name] ?? ''}
            onChange={(event) =>
              set({ qualifiers: { ...qualifiers, [name]: event.target.value || undefined } })
            }
          >
            {name !== 'plantAge' && (
              <option value="">
                <Trans>any</Trans>
              </option>
            )}
            {values.map((each) => (
              <option key={each} value={each}>
                {inTongue(each)}
              </option>
            ))}
          </select>
        </label>
      ))}
      <label>
        <Trans>ink</Trans>{' '}
        <select value={ink} onChange={(event) => set({ ink: event.target.value as Laid['ink'] })}>
          <option value="color">
            <Trans>color</Trans>
          </option>
          <option value="line">
            <Trans>black lines, for print</Trans>
          </option>
        </select>
      </label>
      <label>
        <input type="checkbox" checked={lying} onChange={(event) => set({ lying: event.target.checked })} />{' '}
        <Trans>as it lies on a table</Trans>
      </label>
      <span className={styles['bench-actions']}>
        <Button type="primary" onClick={() => set({ seed: seed + step })}>
          {dozen ? t`Another dozen (r)` : t`Another individual (r)`}
        </Button>
        <Button onClick={() => set({ dozen: !dozen })}>{dozen ? t`One, large` : t`A dozen`}</Button>
        {seed > 0 && !dozen && (
          <Button onClick={() => set({ seed: 0 })}>
            <Trans>The typical one</Trans>
          </Button>
        )}
      </span>
    </div>
  );
}

interface PlateOptions {
  units: 'metric' | 'imperial';
  plain: boolean;
  lying: boolean;
}

const NOTHING = t`None of these parts is on the tree on this date, or their scores are missing.`;

function One({
  profiled,
  traits,
  view,
  options,
  caption,
  picture,
  words,
}: {
  profiled: ProfiledTaxon;
  traits: Traits;
  view: View;
  options: PlateOptions;
  caption: string;
  picture: string;
  words(traits: Traits): string;
}) {
  const drawing = drawPlate(traits, view.organs, { ...FRAME, ...options });
  if (!drawing) return <p className={`quiet ${drawingsStyles['no-drawing']}`}>{NOTHING}</p>;
  const text = words(traits);
  const name = scientificName(profiled.taxon);
  const svg = () =>
    download(`${profiled.taxon.id}.svg`, new Blob([drawingToSvg(drawing, name)], { type: 'image/svg+xml' }));
  return (
    <figure className={styles['bench-plate']}>
      <DrawingSvg drawing={drawing} label={t`${name}, drawn from its scores. ${text}`} />
      <figcaption>
        <strong>{caption}</strong>{' '}
        <LinkButton onClick={svg}>
          <Trans>Take as SVG</Trans>
        </LinkButton>{' '}
        <a href={picture} download={`${profiled.taxon.id}.png`}>
          <Trans>Take as PNG</Trans>
        </a>
        <details>
          <summary>
            <Trans>In words</Trans>
          </summary>
          <p>{text}</p>
        </details>
      </figcaption>
    </figure>
  );
}

/** Twelve individuals at once; one of them can be taken up. */
function Dozen({
  traits,
  view,
  options,
  from,
  onTake,
}: {
  traits: Traits[];
  view: View;
  options: PlateOptions;
  from: number;
  onTake(seed: number): void;
}) {
  const drawings = traits.map((each) =>
    drawPlate(each, view.organs, { ...DOZEN, ...options, insets: false }),
  );
  if (drawings.every((drawing) => !drawing))
    return <p className={`quiet ${drawingsStyles['no-drawing']}`}>{NOTHING}</p>;
  return (
    <ol className={styles['bench-dozen']}>
      {drawings.map((drawing, i) => (
        <li key={from + i}>
          <button onClick={() => onTake(from + i)} aria-label={t`Take up individual ${from + i}`}>
            {drawing && <DrawingSvg drawing={drawing} label={t`Individual ${from + i}`} />}
            <span className="quiet">{from + i}</span>
          </button>
        </li>
      ))}
    </ol>
  );
}

/** Characters that would make a better drawing, and are scored by nobody. */
function Unshown({
  profiled,
  organs,
  courseId,
}: {
  profiled: ProfiledTaxon;
  organs: ShownOrgan[];
  courseId: string;
}) {
  const { vocabulary } = useLibrary();
  const missing = notShown(profiled, organs, vocabulary);
  return (
    <div>
      <h2>
        <Trans>What the scores cannot show</Trans>
      </h2>
      {missing.length === 0 ? (
        <p className="quiet">
          <Trans>Everything that these drawings are made from is scored.</Trans>
        </p>
      ) : (
        <p>
          <Trans>
            Nothing says {listInWords(missing.map((id) => characterName(vocabulary.get(id)!, 'technical')))};
            the drawing takes something usual.{' '}
            <Link to={`/c/${courseId}/species/${profiled.taxon.id}/edit`}>Score them</Link>
          </Trans>
        </p>
      )}
    </div>
  );
}
