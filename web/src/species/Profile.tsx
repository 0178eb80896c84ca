import { t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import type { LibraryAnswer } from '@hurrow/contract/library';
import { Button } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { useLayoutEffect, useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { isDeciduous, type ProfiledTaxon } from '@hurrow/core/evidence';
import {
  characterName,
  valueInWords,
  type AdoptedScore,
  type Audience,
  type UnitSystem,
} from '@hurrow/core/score';
import { partPresent, type Calendar } from '@hurrow/core/season';
import { commonName, scientificName, sizePoints, type Taxon } from '@hurrow/core/taxon';
import type { View } from '@hurrow/core/view';
import {
  organsInOrder,
  type Character,
  type Organ,
  type ShownOrgan,
  type Vocabulary,
} from '@hurrow/core/vocabulary';
import { languageName } from './namesIn.ts';
import { calendarAtSite, courseQuery, useLibrary, useNamesIn } from '../app/data.ts';
import { Specimen, twigView } from '../app/Drawings.tsx';
import { Cautions } from '../app/Cautions.tsx';
import { useFieldDate, useRibbonRows, type RibbonRow } from '../app/fieldDate.tsx';
import { useKeys } from '../app/keys.ts';
import { Latin } from '../app/Names.tsx';
import { useVasculum } from '../app/vasculum.tsx';
import { PhotoStrip } from '../measuring/PhotoStrip.tsx';
import { ConfusedLine } from '../confusions/ConfusedLine.tsx';
import { LinkButton, Notice } from '../app/parts.tsx';
import ui from '../app/parts.module.css';
import styles from './species.module.css';
import { color } from '../app/tokens.ts';
import { arcLabel, dayLabel, decimal } from '../language/inWords.ts';
import { qualifiersInWords } from '../language/qualifiersInWords.ts';
import { inTongue } from '../language/inTongue.ts';

const PLATE: ShownOrgan[] = ['twig', 'bud', 'leaf', 'fruit', 'bark'];

/** One species, organ by organ, as its scores and the field date have it. */
export function Profile({ courseId, taxonId }: { courseId: string; taxonId: string }) {
  const { library, vocabulary, profileOf } = useLibrary();
  const course = useQuery(courseQuery(courseId)).data;
  const profiled = profileOf(taxonId);
  const { lookAt } = useVasculum();
  const [seed, setSeed] = useState<number>();
  const [chosen, setAudience] = useState<Audience>();
  const audience = chosen ?? course?.audience ?? 'technical';
  const units = course?.units ?? 'metric';
  const calendar = useMemo(
    () => (profiled && library ? calendarAtSite(profiled.taxon.calendar, library, course) : {}),
    [profiled, library, course],
  );
  useRibbonRows(useRows(calendar));
  // Before the page is painted: who sees the tree may press a key for it.
  useLayoutEffect(() => {
    lookAt(profiled ? taxonId : undefined);
    return () => lookAt(undefined);
  }, [profiled, taxonId, lookAt]);
  useKeys({ r: () => setSeed((held) => (held ?? 0) + 1) });

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
  const { taxon } = profiled;
  return (
    <article className={styles['profile']}>
      <Plate
        profiled={profiled}
        calendar={calendar}
        audience={audience}
        units={units}
        seed={seed}
        onSeed={setSeed}
        photos={`/c/${courseId}/species/${taxon.id}/measuring`}
      />
      <div className={styles['profile-text']}>
        <NamesOf taxon={taxon} />
        <ConfusedLine courseId={courseId} taxonId={taxon.id} />
        <Tools
          at={`/c/${courseId}/species/${taxon.id}`}
          taxonId={taxon.id}
          audience={audience}
          units={units}
          onAudience={setAudience}
        />
        {organsInOrder(course?.startsWith ?? 'leaf').map(({ organ, title }) => (
          <OrganRow
            key={organ}
            organ={organ}
            title={title}
            profiled={profiled}
            calendar={calendar}
            audience={audience}
            units={units}
            library={library}
            vocabulary={vocabulary}
          />
        ))}
        <Told taxon={taxon} units={units} />
        {profiled.scores.length === 0 && (
          <Notice>
            <Trans>
              Nothing is scored yet.{' '}
              <Link to={`/c/${courseId}/species/${taxon.id}/edit`}>Enter its characters</Link>:{' '}
              {scientificName(taxon)} can then be drawn, contrasted and quizzed.
            </Trans>
          </Notice>
        )}
      </div>
    </article>
  );
}

interface PlateProps {
  profiled: ProfiledTaxon;
  calendar: Calendar;
  audience: Audience;
  units: UnitSystem;
  /** Which individual is drawn; the typical one where none is chosen. */
  seed: number | undefined;
  onSeed(seed: (held: number | undefined) => number | undefined): void;
  photos: string;
}

/** The drawn specimen on the field date, and what is told beside it: the aid, a fact, cautions, photos, the seasons. */
function Plate({ profiled, calendar, audience, units, seed, onSeed, photos }: PlateProps) {
  const { day } = useFieldDate();
  const view = useMemo<View>(() => ({ ...twigView(day), organs: PLATE }), [day]);
  const { taxon } = profiled;
  return (
    <aside className={styles['profile-plate']}>
      <Specimen
        profiled={profiled}
        view={view}
        calendar={calendar}
        width={360}
        height={430}
        units={units}
        audience={audience}
        {...(seed ? { seed } : {})}
      />
      <p className="quiet">
        <Trans>
          {seed ? t`Individual ${seed}` : t`The typical specimen`} as on {dayLabel(day)}, drawn from the
          scores.
        </Trans>{' '}
        <LinkButton onClick={() => onSeed((n) => (n ?? 0) + 1)}>
          <Trans>Draw another (r)</Trans>
        </LinkButton>
        {seed !== undefined && (
          <>
            {' · '}
            <LinkButton onClick={() => onSeed(() => undefined)}>
              <Trans>typical</Trans>
            </LinkButton>
          </>
        )}
      </p>
      {!taxon.calendar.leaves && profiled.scores.length > 0 && (
        <p className="gold">
          <Trans>
            No leaf months are recorded;{' '}
            {isDeciduous(profiled) ? t`May to mid October is assumed.` : t`it is drawn as in leaf all year.`}
          </Trans>
        </p>
      )}
      {taxon.memoryAid && <p className={styles['aid']}>{taxon.memoryAid}</p>}
      {taxon.fact && <p className="quiet">{taxon.fact}</p>}
      <Cautions cautions={taxon.cautions} />
      <PhotoStrip taxonId={taxon.id} to={photos} />
      <SeasonList calendar={calendar} />
    </aside>
  );
}

interface ToolsProps {
  /** The address of the profile. */
  at: string;
  taxonId: string;
  audience: Audience;
  units: UnitSystem;
  onAudience(audience: Audience): void;
}

/** What can be done with the tree from here. */
function Tools({ at, taxonId, audience, units, onAudience }: ToolsProps) {
  const { toggle, taxa } = useVasculum();
  const go = useNavigate();
  const held = taxa.includes(taxonId);
  return (
    <div className={ui['profile-tools']}>
      <Button onClick={() => toggle(taxonId)}>
        {held ? t`Take out of vasculum (c)` : t`Into the vasculum (c)`}
      </Button>
      <Button onClick={() => void go(`${at}/edit`)}>
        <Trans>Edit (e)</Trans>
      </Button>
      <Button onClick={() => onAudience(audience === 'technical' ? 'plain' : 'technical')}>
        {audience === 'technical' ? t`Plain words` : t`Technical terms`}
      </Button>
      <Link to={`${at}/specimens`}>
        <Trans>Specimens</Trans>
      </Link>
      <Link to={`${at}/range`}>
        <Trans>Range</Trans>
      </Link>
      <Link to={`${at}/measuring`}>
        <Trans>Photos and measurements</Trans>
      </Link>
      <PrintLinks taxonId={taxonId} audience={audience} units={units} />
    </div>
  );
}

/** Under what names the tree goes. */
function NamesOf({ taxon }: { taxon: Taxon }) {
  const namesIn = useNamesIn();
  return (
    <>
      <header>
        <h1>
          {commonName(taxon)} <Latin names={taxon} /> <small className="quiet">{taxon.authority}</small>
        </h1>
        <span className="quiet">
          {taxon.family}
          {taxon.familyCommon ? ` · ${taxon.familyCommon}` : ''}
        </span>
      </header>
      <p className={`quiet ${styles['names']}`}>
        {taxon.commonNames.length > 1 && (
          <>
            <Trans>Also {taxon.commonNames.slice(1).join(', ')}.</Trans>{' '}
          </>
        )}
        {Object.entries(taxon.namesIn ?? {})
          .filter(([tag]) => tag !== namesIn)
          .map(([tag, names]) => (
            <span key={tag}>
              <Trans>
                {languageName(tag)} <span lang={tag}>{names.join(', ')}</span>.
              </Trans>{' '}
            </span>
          ))}
        {taxon.synonyms.length > 0 && (
          <>
            <Trans>
              <Plural value={taxon.synonyms.length} one="Synonym" other="Synonyms" />{' '}
              <span className="latin">{taxon.synonyms.join(', ')}</span>.
            </Trans>{' '}
          </>
        )}
        {taxon.meaning}
      </p>
    </>
  );
}

/** Sheets of one species as PDF, in the words and units that the profile is read in. */
function PrintLinks({
  taxonId,
  audience,
  units,
}: {
  taxonId: string;
  audience: Audience;
  units: UnitSystem;
}) {
  const href = (kind: string, paper: string) =>
    `/api/prints/${kind}.pdf?taxa=${taxonId}&paper=${paper}&audience=${audience}&units=${units}`;
  return (
    <span className={styles['prints']}>
      <Trans>
        Print{' '}
        <a href={href('profile', 'letter')} target="_blank" rel="noreferrer">
          Letter
        </a>{' '}
        ·{' '}
        <a href={href('profile', 'a4')} target="_blank" rel="noreferrer">
          A4
        </a>
      </Trans>
    </span>
  );
}

/** Uses and wildlife as history, and the largest trees known with their size points. */
function Told({ taxon, units }: { taxon: Taxon; units: UnitSystem }) {
  const length = (metres: number) =>
    units === 'metric' ? `${decimal(metres, 1)} m` : t`${Math.round(metres / 0.3048)} ft`;
  return (
    <>
      {taxon.wildlife && (
        <section className={styles['organ']}>
          <h2>
            <Trans>Wildlife</Trans>
          </h2>
          <div className={styles['statement']}>{taxon.wildlife}</div>
        </section>
      )}
      {taxon.uses && (
        <section className={styles['organ']}>
          <h2>
            <Trans>Uses</Trans>
          </h2>
          <div className={styles['statement']}>{taxon.uses}</div>
          <div className={styles['margin']}>
            <p>
              <Trans>Told as history, not as advice.</Trans>
            </p>
          </div>
        </section>
      )}
      {(taxon.largest ?? []).length > 0 && (
        <section className={styles['organ']}>
          <h2>
            <Trans>Largest</Trans>
          </h2>
          <div className={styles['statement']}>
            {taxon.largest!.map((tree) => (
              <p key={`${tree.place}${tree.year}`}>
                <Trans>
                  {tree.place}
                  {tree.year ? `, ${tree.year}` : ''}: girth {length(tree.girth)}, height{' '}
                  {length(tree.height)}, crown {length(tree.crownSpread)}; {sizePoints(tree)} points
                </Trans>
              </p>
            ))}
          </div>
          <div className={styles['margin']}>
            <p>
              <Trans>Points: inches of girth, feet of height, a quarter of the feet of crown.</Trans>
            </p>
          </div>
        </section>
      )}
    </>
  );
}

const ROWS: [keyof Calendar, string, string][] = [
  ['leaves', t`leaves`, color('leaf')],
  ['flowers', t`flowers`, color('seasonFlowers')],
  ['fruitRipe', t`ripe fruit`, color('seasonFruit')],
];

function useRows(calendar: Calendar): RibbonRow[] {
  return useMemo(
    () =>
      ROWS.flatMap(([part, title, color]) =>
        calendar[part]?.length ? [{ title, arcs: calendar[part]!, color }] : [],
      ),
    [calendar],
  );
}

function SeasonList({ calendar }: { calendar: Calendar }) {
  const parts: [keyof Calendar, string][] = [
    ['leaves', t`In leaf`],
    ['autumnColor', t`Autumn color`],
    ['leafFall', t`Leaf fall`],
    ['winterCatkins', t`Winter catkins`],
    ['flowers', t`Flower or pollen`],
    ['fruitGreen', t`Green fruit`],
    ['fruitRipe', t`Ripe fruit`],
    ['fruitOld', t`Old fruit`],
  ];
  const known = parts.filter(([part]) => calendar[part]?.length);
  if (known.length === 0) return null;
  return (
    <dl className={styles['season-list']}>
      {known.map(([part, title]) => (
        <div key={part}>
          <dt>{title}</dt>
          <dd>{calendar[part]!.map(arcLabel).join(', ')}</dd>
        </div>
      ))}
    </dl>
  );
}

interface OrganRowProps {
  organ: Organ;
  title: string;
  profiled: ProfiledTaxon;
  calendar: Calendar;
  audience: Audience;
  units: UnitSystem;
  library: LibraryAnswer;
  vocabulary: Vocabulary;
}

function OrganRow(props: OrganRowProps) {
  const { organ, title, profiled, calendar, audience, units, library, vocabulary } = props;
  const { day } = useFieldDate();
  const groups = scoresByCharacter(profiled.scores, organ, vocabulary);
  if (groups.length === 0) return null;
  const deciduous = isDeciduous(profiled);
  const absent = groups.every(([character]) => !partPresent(character.part, calendar, deciduous, day));
  const label = (id: string) => library.sources.find((source) => source.id === id)?.label ?? id;
  const disagreeing = groups.flatMap(([character, scores]) =>
    scores.filter((score) => score.disagree).map((score) => ({ character, score })),
  );
  const sources = new Set(
    groups.flatMap(([, scores]) =>
      scores.flatMap((score) => score.statements.map((statement) => statement.sourceId)),
    ),
  );
  return (
    <section className={absent ? `${styles['organ']} ${styles['absent']}` : styles['organ']}>
      <h2>{inTongue(title)}</h2>
      <div className={styles['statement']}>
        {absent && (
          <em className="gold">
            <Trans>None on {dayLabel(day)}.</Trans>{' '}
          </em>
        )}
        {groups.map(([character, scores], i) => (
          <span key={character.id}>
            {i > 0 && '; '}
            <span className="quiet">{characterName(character, audience)}</span>{' '}
            {scores.map((score, k) => (
              <span key={k} className={score.disagree ? styles['disputed'] : ''}>
                {k > 0 && ' | '}
                {Object.keys(score.qualifiers).length > 0 && <i>{qualifiersInWords(score.qualifiers)}: </i>}
                {valueInWords(score.value, character, audience, units)}
              </span>
            ))}
          </span>
        ))}
        .
      </div>
      <div className={styles['margin']}>
        {disagreeing.map(({ character, score }, i) => (
          <p key={i}>
            <Trans>
              <span className="rust">Sources disagree</span> on {characterName(character, audience)}:{' '}
              {score.statements
                .map(
                  (statement) =>
                    `${label(statement.sourceId)} ${valueInWords(statement.value, character, audience, units)}`,
                )
                .join('; ')}
              . Adopted: {score.from.map(label).join(', ')}.
            </Trans>
          </p>
        ))}
        {disagreeing.length === 0 && (
          <p>
            {sources.size > 1 ? t`${sources.size} sources, no disagreement.` : label([...sources][0] ?? '')}
          </p>
        )}
      </div>
    </section>
  );
}

function scoresByCharacter(
  scores: readonly AdoptedScore[],
  organ: Organ,
  vocabulary: Vocabulary,
): [Character, AdoptedScore[]][] {
  return [...vocabulary.values()]
    .filter((character) => character.organ === organ)
    .map((character): [Character, AdoptedScore[]] => [
      character,
      scores.filter((score) => score.characterId === character.id),
    ])
    .filter(([, held]) => held.length > 0);
}
