import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Button } from 'antd';
import { useMemo, useState } from 'react';
import { Route, Routes, useSearchParams } from 'react-router';
import { commonName } from '@hurrow/core/taxon';
import { MEDIUM_VIEWS, type LeafCondition, type View } from '@hurrow/core/view';
import { useFieldDate } from '../app/fieldDate.tsx';
import { useVasculum } from '../app/vasculum.tsx';
import { Beginnings } from './Beginnings.tsx';
import { ContrastView } from './ContrastView.tsx';
import { Identify } from './Identify.tsx';
import { Keys } from './Keys.tsx';
import { Marks } from './Marks.tsx';
import { PairMap } from './PairMap.tsx';
import { printSheet } from './printSheet.ts';
import { Rules } from './Rules.tsx';
import { useGround, type Ground } from './setting.ts';
import { LeavesChoice } from './LeavesChoice.tsx';
import { SeveralView } from './SeveralView.tsx';
import { AS_CUTTING, ViewChoice, type Seen } from './ViewChoice.tsx';
import { Opening, PageHead, Problem, Tabs } from '../app/parts.tsx';
import { taxaAsked, withTaxonAt } from '../app/taxaAsked.ts';
import ui from '../app/parts.module.css';
import styles from './contrast.module.css';
import { viewInWords } from '../language/inWords.ts';

const MOST = 4;

/** What is confusable on the list, and what settles it, in the view one chooses, on the field date. */
export default function LookalikesPlace({ courseId }: { courseId: string }) {
  const { day } = useFieldDate();
  const { taxa: held } = useVasculum();
  const [search] = useSearchParams();
  const [seen, setSeen] = useState<Seen>(AS_CUTTING);
  const [leaves, setLeaves] = useState<LeafCondition>();
  const { medium, organs, aids, level } = seen;
  const view = useMemo<View>(
    () => ({
      ...MEDIUM_VIEWS[medium],
      organs,
      aids,
      day,
      qualifiers: { plantAge: 'mature' },
      ...(leaves ? { leaves } : {}),
    }),
    [medium, organs, aids, day, leaves],
  );
  const places = taxaAsked(search.get('taxa') ?? held.join(',')).slice(0, MOST);
  const asked = places.filter(Boolean);
  const ground = useGround(courseId, view, level, asked, search.get('only') ?? '');
  if (!ground)
    return (
      <Opening>
        <Trans>Opening the library…</Trans>
      </Opening>
    );
  const base = `/c/${courseId}/lookalikes`;
  return (
    <section className={ui['page']}>
      <PageHead title={t`Lookalikes`}>
        <span className="quiet">
          <Trans>
            {ground.setting.list.length} taxa, {viewInWords(ground.setting.view)}
          </Trans>
        </span>
      </PageHead>
      <Tabs
        label={t`Parts of Lookalikes`}
        tabs={[
          { to: `${base}?${search.toString()}`, title: t`Contrast`, end: true },
          { to: `${base}/map`, title: t`Pair map` },
          { to: `${base}/marks`, title: t`Marks` },
          { to: `${base}/keys`, title: t({ message: 'Keys', context: 'of trees' }) },
          { to: `${base}/rules`, title: t`Rules of thumb` },
          { to: `${base}/identify`, title: t`Name a specimen` },
        ]}
      />
      <ViewChoice seen={seen} onChange={setSeen} />
      <LeavesChoice ground={ground} leaves={leaves} onChange={setLeaves} />
      <Routes>
        <Route path="" element={<ContrastTab ground={ground} asked={places} base={base} />} />
        <Route path="map" element={<PairMap ground={ground} base={base} />} />
        <Route path="marks" element={<Marks ground={ground} />} />
        <Route path="keys/*" element={<Keys ground={ground} base={base} />} />
        <Route path="rules" element={<Rules ground={ground} />} />
        <Route path="identify" element={<Identify ground={ground} base={base} />} />
      </Routes>
    </section>
  );
}

/** Two to four trees: the choice of them, and their contrast. */
function ContrastTab({ ground, asked, base }: { ground: Ground; asked: string[]; base: string }) {
  const { profiles, setting, library, course } = ground;
  const [, setSearch] = useSearchParams();
  const [problem, setProblem] = useState<string>();
  const known = asked.map((id) => (profiles.some(({ taxon }) => taxon.id === id) ? id : ''));
  const chosen = known.flatMap((id) => profiles.find(({ taxon }) => taxon.id === id) ?? []);
  const [a, b] = chosen;
  const choose = (place: number, id: string) => setSearch({ taxa: withTaxonAt(known, place, id).join(',') });
  const places = Array.from({ length: Math.min(MOST, Math.max(2, known.length + 1)) }, (_, i) => i);
  return (
    <>
      <h2 className={styles['contrast-title']}>
        {a && b
          ? `${chosen.map(({ taxon }) => commonName(taxon)).join(t` or `)}?`
          : t`Two to four trees side by side`}
      </h2>
      <div className={styles['pair-choice']}>
        {places.map((place) => (
          <label key={place}>
            <span className="visually-hidden">
              <Trans>{[t`First`, t`Second`, t`Third`, t`Fourth`][place]} tree</Trans>
            </span>
            <select value={known[place] ?? ''} onChange={(event) => choose(place, event.target.value)}>
              <option value="">
                {place < 2 ? t`choose a tree` : place < known.length ? t`none` : t`and another`}
              </option>
              {profiles
                .filter(({ taxon }) => taxon.id === known[place] || !known.includes(taxon.id))
                .map(({ taxon }) => (
                  <option key={taxon.id} value={taxon.id}>
                    {commonName(taxon)}
                  </option>
                ))}
            </select>
          </label>
        ))}
        {b && (
          <Button
            onClick={() =>
              void printSheet(
                'contrast',
                { taxa: chosen.map(({ taxon }) => taxon.id), view: setting.view },
                course?.id,
              ).then(setProblem)
            }
          >
            <Trans>Print</Trans>
          </Button>
        )}
      </div>
      {problem && <Problem>{problem}</Problem>}
      {a && b && chosen.length === 2 && (
        <ContrastView
          list={setting.list}
          a={a}
          b={b}
          view={setting.view}
          library={library}
          site={course}
          audience={course?.audience ?? 'technical'}
          units={course?.units ?? 'metric'}
        />
      )}
      {chosen.length > 2 && <SeveralView ground={ground} taxa={chosen} base={base} />}
      {!b && <Beginnings ground={ground} base={base} />}
    </>
  );
}
