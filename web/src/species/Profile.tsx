import { t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import { Button } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { useLayoutEffect, useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Audience, UnitSystem } from '@hurrow/core/score';
import type { Calendar } from '@hurrow/core/season';
import { commonName, scientificName, type Taxon } from '@hurrow/core/taxon';
import { organsInOrder } from '@hurrow/core/vocabulary';
import { languageName } from './namesIn.ts';
import { OrganRow } from './OrganRow.tsx';
import { ProfilePlate } from './ProfilePlate.tsx';
import { Told } from './Told.tsx';
import { calendarAtSite, courseQuery, useLibrary, useNamesIn } from '../app/data.ts';
import { useRibbonRows, type RibbonRow } from '../app/fieldDate.tsx';
import { useKeys } from '../app/keys.ts';
import { Latin } from '../app/Names.tsx';
import { useVasculum } from '../app/vasculum.tsx';
import { ConfusedLine } from '../confusions/ConfusedLine.tsx';
import { Notice } from '../app/parts.tsx';
import ui from '../app/parts.module.css';
import styles from './species.module.css';
import { color } from '../app/tokens.ts';

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
      <ProfilePlate
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
