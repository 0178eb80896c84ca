import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { Course } from '@hurrow/contract/courses';
import type { LibraryAnswer } from '@hurrow/contract/library';
import { memo, useMemo } from 'react';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import {
  drawPlate,
  enoughToDraw,
  glyphPresent,
  sampleSpecimen,
  traitsInWords,
  type DrawnLabel,
  type DrawnPath,
  type Drawing,
  type Glyph,
  type Shape,
  type Traits,
} from '@hurrow/core/specimen';
import type { Calendar } from '@hurrow/core/season';
import { scientificName } from '@hurrow/core/taxon';
import { SHOWN_TITLES, type View } from '@hurrow/core/view';
import type { Vocabulary } from '@hurrow/core/vocabulary';
import { calendarAtSite, useVocabulary } from './data.ts';
import { useFieldDate } from './fieldDate.tsx';
import { useStrip } from './strips.ts';
import styles from './drawings.module.css';
import { color } from './tokens.ts';
import { inTongue } from '../language/inTongue.ts';
import { listInWords } from '../language/inWords.ts';

const Path = ({ path }: { path: DrawnPath }) => (
  <path
    d={path.d}
    fill={path.fill}
    stroke={path.stroke}
    strokeWidth={path.strokeWidth}
    strokeLinejoin="round"
    strokeLinecap="round"
  />
);

/** A laid-out drawing with its insets and scale bar; `children` may point at parts of it. */
export function DrawingSvg({
  drawing,
  label,
  children,
}: {
  drawing: Drawing;
  label: string;
  children?: React.ReactNode;
}) {
  const { width, height, paths, insets, scaleBars, labels } = drawing;
  return (
    <svg className={styles['drawing']} viewBox={`0 0 ${width} ${height}`} role="img" aria-label={label}>
      {paths.map((path, i) => (
        <Path key={i} path={path} />
      ))}
      {insets.map((inset) => (
        <g key={`${inset.title}${inset.cx}`}>
          <circle cx={inset.cx} cy={inset.cy} r={inset.r} fill={color('sheet')} stroke={color('insetRim')} />
          {inset.paths.map((path, i) => (
            <Path key={i} path={path} />
          ))}
          <text
            x={inset.cx}
            y={inset.cy + inset.r + 13}
            fontSize={11}
            textAnchor="middle"
            fill={color('ink2')}
          >
            {inTongue(inset.title)} ×{inset.magnification}
          </text>
        </g>
      ))}
      {scaleBars.map((bar) => (
        <g key={`${bar.x} ${bar.y}`}>
          <path
            d={`M${bar.x} ${bar.y - 4}v8m0 -4h${bar.length}m0 -4v8`}
            fill="none"
            stroke={color('ink')}
            strokeWidth={1.2}
          />
          <text x={bar.x + bar.length + 7} y={bar.y + 4} fontSize={12} fill={color('ink')}>
            {bar.label}
          </text>
        </g>
      ))}
      {labels.map((each) => (
        <Pointer key={`${each.x} ${each.y}`} label={each} />
      ))}
      {children}
    </svg>
  );
}

/** A short label with a line to the part that it speaks of. */
function Pointer({ label }: { label: DrawnLabel }) {
  return (
    <g>
      {label.to && (
        <>
          <line
            x1={label.x}
            y1={label.y + 5}
            x2={label.to[0]}
            y2={label.to[1]}
            stroke={color('action')}
            strokeWidth={1.3}
          />
          <circle cx={label.to[0]} cy={label.to[1]} r={3} fill={color('action')} />
        </>
      )}
      <text
        x={label.x}
        y={label.y}
        fontSize={13}
        fontWeight={label.bold ? 600 : 400}
        fill={color('ink')}
        stroke={color('sheet')}
        strokeWidth={4}
        paintOrder="stroke"
        textAnchor={label.middle ? 'middle' : 'start'}
      >
        {label.text}
      </text>
    </g>
  );
}

export interface SpecimenProps {
  profiled: ProfiledTaxon;
  view: View;
  /** Calendar at the course's site. */
  calendar: Calendar;
  width: number;
  height: number;
  /** Seed of the individual; without one the typical specimen is drawn. */
  seed?: number;
  units?: 'metric' | 'imperial';
  audience?: 'technical' | 'plain';
  insets?: boolean;
}

/** The traits of a specimen on the day of the view, its calendar being that of the site already. */
export function specimenTraits(
  { profiled, view, calendar, seed }: Pick<SpecimenProps, 'profiled' | 'view' | 'calendar' | 'seed'>,
  vocabulary: Vocabulary,
): Traits {
  const here: ProfiledTaxon = { ...profiled, taxon: { ...profiled.taxon, calendar } };
  return sampleSpecimen(here, vocabulary, view, seed ?? 11, { typical: seed === undefined });
}

/** One individual drawn from the scores. */
export const Specimen = memo(function Specimen(props: SpecimenProps) {
  const { profiled, view, calendar, width, height, seed, units, audience = 'technical', insets } = props;
  const vocabulary = useVocabulary();
  const drawn = useMemo(() => {
    const traits = specimenTraits(
      { profiled, view, calendar, ...(seed === undefined ? {} : { seed }) },
      vocabulary,
    );
    const drawing = drawPlate(traits, view.organs, {
      width,
      height,
      ...(units ? { units } : {}),
      ...(insets === undefined ? {} : { insets }),
    });
    if (!drawing) return undefined;
    const guessed = enoughToDraw(profiled, view, vocabulary, calendar).filter(({ enough }) => !enough);
    return {
      drawing,
      text: traitsInWords(traits, view.organs, vocabulary, audience, units),
      guessed: listInWords(guessed.map(({ organ }) => inTongue(SHOWN_TITLES[organ]))),
    };
  }, [profiled, view, calendar, width, height, seed, units, audience, insets, vocabulary]);
  if (!drawn)
    return (
      <p className={`quiet ${styles['no-drawing']}`}>
        {profiled.scores.length === 0
          ? t`Nothing is scored yet, so nothing can be drawn.`
          : t`These parts are not on the tree on this date, or their scores are missing.`}
      </p>
    );
  return (
    <>
      <DrawingSvg
        drawing={drawn.drawing}
        label={t`${scientificName(profiled.taxon)}, drawn from its scores. ${drawn.text}`}
      />
      {drawn.guessed && (
        <p className="gold">
          <Trans>
            Drawn from few scores: of its {drawn.guessed} too little is recorded, and what is usual stands in.
          </Trans>
        </p>
      )}
    </>
  );
});

/** A specimen as it stands at the course's site on the day of the view. */
export function SiteSpecimen({
  library,
  course,
  ...props
}: Omit<SpecimenProps, 'calendar' | 'units' | 'audience'> & {
  library: LibraryAnswer;
  course: Course;
}) {
  const { profiled } = props;
  const calendar = useMemo(
    () => calendarAtSite(profiled.taxon.calendar, library, course),
    [profiled, library, course],
  );
  return <Specimen {...props} calendar={calendar} units={course.units} audience={course.audience} />;
}

const GLYPH_FILL: Partial<Record<Shape['role'], string>> = {
  blade: color('glyphBlade'),
  needle: color('glyphNeedle'),
  twig: color('glyphWood'),
  budScale: color('glyphWood'),
  fruit: color('glyphWood'),
  fruitScale: color('glyphScale'),
  bark: color('glyphBark'),
  bud: color('glyphWood'),
};

function GlyphSvg({ glyph, present }: { glyph: Glyph; present: boolean }) {
  const organ = inTongue(glyph.organ);
  const shows = glyph.state === undefined ? organ : `${organ}: ${glyph.state}`;
  const hint = `${shows}${present ? '' : t`, not on this date`}`;
  return (
    <svg
      width={22}
      height={22}
      viewBox="0 0 24 24"
      className={present ? styles['glyph'] : `${styles['glyph']} ${styles['absent']}`}
      role="img"
      aria-label={hint}
    >
      <title>{hint}</title>
      {glyph.shapes.map((shape, i) => (
        <path
          key={i}
          d={`M${shape.points.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}${shape.closed ? 'Z' : ''}`}
          fill={shape.closed ? (shape.fill ?? GLYPH_FILL[shape.role] ?? color('glyphOther')) : 'none'}
          stroke={shape.role === 'lenticel' || shape.role === 'resin' ? color('glyphLight') : color('ink')}
          strokeWidth={shape.role === 'needle' ? 0.3 : 0.9}
          strokeLinecap="round"
        />
      ))}
    </svg>
  );
}

/** The character strip: small drawings, one an organ; what is absent on the field date is pale. */
export const Strip = memo(function Strip({
  profiled,
  only,
}: {
  profiled: ProfiledTaxon;
  only?: Glyph['organ'];
}) {
  const { day } = useFieldDate();
  const strip = useStrip(profiled, useVocabulary());
  if (!strip) return <span className={styles['strip']} aria-busy="true" />;
  const glyphs = strip.filter((glyph) => !only || glyph.organ === only);
  if (glyphs.length === 0)
    return (
      <span className={`${styles['strip']} quiet`}>
        <Trans>not scored</Trans>
      </span>
    );
  return (
    <span className={styles['strip']}>
      {glyphs.map((glyph) => (
        <GlyphSvg
          key={glyph.organ}
          glyph={glyph}
          present={glyphPresent(glyph, profiled, profiled.taxon.calendar, day)}
        />
      ))}
    </span>
  );
});

/** A view of a twig in the hand, the commonest way to look at a tree in class. */
export const twigView = (day: number): View => ({
  organs: ['twig', 'bud', 'leaf'],
  day,
  nearness: 'hand',
  aids: ['eye', 'touch', 'smell', 'lens'],
  qualifiers: { plantAge: 'mature' },
});
