import { useMemo, useState } from 'react';
import { contrast, remedies, type Contrast, type ProfiledTaxon } from '@hurrow/core/evidence';
import {
  characterName,
  qualifiersInWords,
  valueInWords,
  type Audience,
  type UnitSystem,
} from '@hurrow/core/score';
import { dayLabel, type Place } from '@hurrow/core/season';
import { drawSpecimen, fittingScale, layOut, traitsInWords, type Scene } from '@hurrow/core/specimen';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { listInWords, type View } from '@hurrow/core/view';
import { scoresInView } from '@hurrow/core/evidence';
import { calendarAtSite, type CourseSummary, type LibraryAnswer, useVocabulary } from '../app/data.ts';
import { DrawingSvg, specimenTraits } from '../app/Drawings.tsx';
import { PhotosThatShow } from '../measuring/PhotoStrip.tsx';
import './contrast.css';

interface ContrastProps {
  list: readonly ProfiledTaxon[];
  a: ProfiledTaxon;
  b: ProfiledTaxon;
  view: View;
  library: LibraryAnswer;
  site: CourseSummary | undefined;
  audience: Audience;
  units: UnitSystem;
}

const FRAME = { width: 560, height: 256 };
const percent = (error: number) => (error < 0.001 ? 'under 0.1 %' : `${(error * 100).toFixed(1)} %`);

/** Both trees side by side, what tells them apart in this view on the field date, and what would if nothing here does. */
export function ContrastView(props: ContrastProps) {
  const { list, a, b, view, library, site, audience } = props;
  const options = useMemo(
    () => ({ reference: library.reference, ...(site ? { site: site as Place } : {}) }),
    [library.reference, site],
  );
  const vocabulary = useVocabulary();
  const found = useMemo(
    () => contrast(list, a.taxon.id, b.taxon.id, vocabulary, view, options),
    [list, a, b, view, options, vocabulary],
  );
  const name = (id: string) => characterName(vocabulary.get(id)!, audience);
  return (
    <div className="contrast">
      <Verdict found={found} day={view.day} />
      {found.deciding.length > 0 && (
        <p className="deciding">
          Look at <strong>{listInWords(found.deciding.map(name))}</strong>:{' '}
          {found.deciding.length > 1 ? 'together they settle' : 'that alone settles'} it, with{' '}
          {percent(found.decidingError)} error.
        </p>
      )}
      <Plate {...props} deciding={found.deciding} />
      <Ranked {...props} found={found} />
      {found.verdict !== 'settled' && <Remedies {...props} options={options} />}
    </div>
  );
}

function Verdict({ found, day }: { found: Contrast; day: number }) {
  const tone = { settled: 'settled', doubtful: 'gold', 'not settled': 'rust' }[found.verdict];
  const mark = { settled: '●', doubtful: '◐', 'not settled': '○' }[found.verdict];
  return (
    <p className="verdict">
      <strong className={tone}>
        <span aria-hidden="true">{mark} </span>
        {found.verdict === 'settled'
          ? 'Settled'
          : found.verdict === 'doubtful'
            ? 'Doubtful'
            : 'Not settled'}{' '}
        on {dayLabel(day)}.
      </strong>{' '}
      {found.ranked.length === 0 && found.error > 0.49
        ? 'Nothing that is scored for both can be seen in this view on this date.'
        : `A careful reader of every visible character errs on ${percent(found.error)} of specimens.`}
    </p>
  );
}

/** The two typical specimens at one scale, the deciding characters pointed at. */
function Plate({
  a,
  b,
  view,
  library,
  site,
  audience,
  units,
  deciding,
}: ContrastProps & { deciding: string[] }) {
  const vocabulary = useVocabulary();
  const headroom = 8 + 19 * Math.min(3, deciding.length);
  const drawn = useMemo(() => {
    const scenes = [a, b].map((profiled) => {
      const traits = specimenTraits(
        { profiled, view, calendar: calendarAtSite(profiled.taxon.calendar, library, site) },
        vocabulary,
      );
      return {
        scene: drawSpecimen(traits, view.organs),
        text: traitsInWords(traits, view.organs, vocabulary, audience, units),
      };
    });
    const shown = scenes.map(({ scene }) => scene).filter((scene): scene is Scene => scene !== undefined);
    // One scale for both, unless the smaller would shrink to nothing.
    const scales = shown.map((scene) => fittingScale(scene, { ...FRAME, headroom }));
    const common =
      scales.length === 2 && Math.max(...scales) / Math.min(...scales) < 4.5
        ? Math.max(...scales)
        : undefined;
    return scenes.map(({ scene, text }) => ({
      text,
      drawing:
        scene &&
        layOut(scene, { ...FRAME, headroom, units, ...(common ? { millimetresPerPixel: common } : {}) }),
    }));
  }, [a, b, view, library, site, audience, units, headroom, vocabulary]);
  if (drawn.every(({ drawing }) => !drawing)) return null;
  return (
    <div className="plates">
      {[a, b].map((profiled, i) => {
        const { drawing, text } = drawn[i]!;
        return (
          <figure key={profiled.taxon.id}>
            <figcaption>
              <strong>{commonName(profiled.taxon)}</strong>{' '}
              <span className="latin">{scientificName(profiled.taxon)}</span>
            </figcaption>
            {drawing ? (
              <DrawingSvg drawing={drawing} label={`${commonName(profiled.taxon)}. ${text}`}>
                {deciding.slice(0, 3).map((id, k) => {
                  const score = scoresInView(
                    profiled.scores.filter((entry) => entry.characterId === id),
                    view,
                  )[0];
                  return (
                    <Pointer
                      key={id}
                      at={drawing.anchors[id]}
                      row={k}
                      label={score ? valueInWords(score.value, vocabulary.get(id)!, audience, units) : ''}
                      title={characterName(vocabulary.get(id)!, audience)}
                    />
                  );
                })}
              </DrawingSvg>
            ) : (
              <p className="quiet no-drawing">Not on the tree on this date.</p>
            )}
            <PhotosThatShow taxonId={profiled.taxon.id} characters={deciding} />
          </figure>
        );
      })}
    </div>
  );
}

/** A short label over the drawing with a line to the part that it speaks of. */
function Pointer({
  at,
  row,
  label,
  title,
}: {
  at: readonly [number, number] | undefined;
  row: number;
  label: string;
  title: string;
}) {
  if (!at || !label) return null;
  const y = 16 + row * 19;
  const text = `${title}: ${label}`;
  const half = text.length * 3.4;
  const x = Math.min(FRAME.width - 130 - half, Math.max(half + 8, at[0]));
  return (
    <g>
      <line x1={x} y1={y + 5} x2={at[0]} y2={at[1]} stroke="#1d6a70" strokeWidth={1.3} />
      <circle cx={at[0]} cy={at[1]} r={3} fill="#1d6a70" />
      <text
        x={x}
        y={y}
        fontSize={13}
        fontWeight={600}
        fill="#17262b"
        stroke="#fff"
        strokeWidth={4}
        paintOrder="stroke"
        textAnchor="middle"
      >
        {text}
      </text>
    </g>
  );
}

function Ranked({ a, b, view, audience, units, found }: ContrastProps & { found: Contrast }) {
  const [all, setAll] = useState(false);
  const vocabulary = useVocabulary();
  const name = (id: string) => characterName(vocabulary.get(id)!, audience);
  const says = (profiled: ProfiledTaxon, id: string) => {
    const character = vocabulary.get(id)!;
    if (character.derived) return '';
    return scoresInView(
      profiled.scores.filter((score) => score.characterId === id),
      view,
    )
      .map((score) => {
        const words = valueInWords(score.value, character, audience, units);
        const qualifiers = qualifiersInWords(score.qualifiers);
        return qualifiers ? `${words} (${qualifiers})` : words;
      })
      .join(' | ');
  };
  const strongest = Math.max(2, found.ranked[0]?.evidence ?? 0);
  const rows = all ? found.ranked : found.ranked.slice(0, 8);
  return (
    <>
      <table className="plain-table ranked">
        <thead>
          <tr>
            <th>What tells them apart, strongest first</th>
            <th>{commonName(a.taxon)}</th>
            <th>{commonName(b.taxon)}</th>
            <th>Evidence</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.characterId} className={found.deciding.includes(row.characterId) ? 'decides' : ''}>
              <td>
                {name(row.characterId)}
                {found.deciding.includes(row.characterId) && <small> decides</small>}
              </td>
              <td>{says(a, row.characterId)}</td>
              <td>{says(b, row.characterId)}</td>
              <td>
                <span className="bar-cell">
                  <i style={{ width: `${(row.evidence / strongest) * 100}px` }} />
                  {row.evidence.toFixed(2)}
                </span>
              </td>
            </tr>
          ))}
          {rows.length === 0 && (
            <tr>
              <td colSpan={4}>No character that is visible here differs between them.</td>
            </tr>
          )}
        </tbody>
      </table>
      <p className="quiet">
        {found.ranked.length > 8 && (
          <>
            <button className="link" onClick={() => setAll(!all)}>
              {all ? 'Only the strongest' : `All ${found.ranked.length}`}
            </button>
            .{' '}
          </>
        )}
        {found.agreeing.length > 0 && <>They agree in {listInWords(found.agreeing.map(name))}. </>}
        {found.seconded.length > 0 && (
          <>
            Saying nearly the same as a stronger one:{' '}
            {found.seconded.map(({ characterId, by }) => `${name(characterId)} (${name(by)})`).join(', ')}
            .{' '}
          </>
        )}
        {found.gaps.length > 0 && (
          <>
            Scored for one only:{' '}
            {found.gaps
              .map(
                ({ characterId, missing }) =>
                  `${name(characterId)} (not for ${commonName((missing === 'a' ? a : b).taxon)})`,
              )
              .join(', ')}
            .{' '}
          </>
        )}
        Evidence is in nats; 3.2 in all settles a pair for certain.
      </p>
    </>
  );
}

function Remedies({ list, a, b, view, options }: ContrastProps & { options: object }) {
  const vocabulary = useVocabulary();
  const found = useMemo(
    () => remedies(list, a.taxon.id, b.taxon.id, vocabulary, view, options),
    [list, a, b, view, options, vocabulary],
  );
  const of = (kind: string) => found.filter((remedy) => remedy.kind === kind).map((remedy) => remedy.label);
  const parts = [
    of('organ').length ? `showing ${of('organ').slice(0, 4).join(' or ')} as well` : '',
    of('aid').length ? `allowing ${of('aid').slice(0, 3).join(' or ')}` : '',
    of('month').length ? `the same view in ${of('month').join(', ')}` : '',
  ].filter(Boolean);
  return (
    <p className="notice">
      {parts.length ? (
        <>What would settle it: {parts.join('; ')}.</>
      ) : (
        'No single organ, aid or month settles it. Score more characters for both, or do not ask for this pair.'
      )}
    </p>
  );
}
