import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { ClassReport, ConfusionData } from '@hurrow/contract/confusions';
import { useState } from 'react';
import { misreadOrOverlooked, type CharacterFinding } from '@hurrow/core/confusion';
import { saidUse, verdictOf } from '@hurrow/core/finding';
import { SHOWN_TITLES } from '@hurrow/core/view';
import { useVocabulary } from '../app/data.ts';
import { AnswersBehind } from './AnswersBehind.tsx';
import { IntervalBar } from './IntervalBar.tsx';
import { Prompts } from './Prompts.tsx';
import { isPooled } from './prompts.ts';
import { Readings } from './Readings.tsx';
import { notEnough } from './TeachNext.tsx';
import { capital, type Names } from './useNames.ts';
import { LinkButton } from '../app/parts.tsx';
import { inTongue } from '../language/inTongue.ts';
import ui from '../app/parts.module.css';
import styles from './confusions.module.css';
import { FINDING_WORDS } from './findingWords.ts';

interface CharactersProps {
  courseId: string;
  data: ConfusionData;
  report: ClassReport;
  names: Names;
}

/** The scale of the bars: twice its worth and more stands at the end. */
const MOST = 2;

/** Every character that could be seen at a station: the share of its worth that the class uses, organ by organ. */
export function Characters({ courseId, data, report, names }: CharactersProps) {
  const vocabulary = useVocabulary();
  const [open, setOpen] = useState('');
  if (report.state !== 'enough')
    return (
      <>
        <h1>
          <Trans>Characters</Trans>
        </h1>
        <p>{notEnough(report)}</p>
        <Prompts prompts={report.looking} pooled={isPooled(report)} names={names} />
        <Readings readings={report.readings} data={data} names={names} courseId={courseId} />
      </>
    );
  const organs = new Map<string, CharacterFinding[]>();
  for (const [id, character] of vocabulary) {
    const found = report.characters.find(({ characterId }) => characterId === id);
    if (found && found.telling.length > 0)
      organs.set(character.organ, [...(organs.get(character.organ) ?? []), found]);
  }
  const idle = report.characters.filter(({ telling }) => telling.length === 0);
  return (
    <>
      <h1>
        <Trans>Characters</Trans>
      </h1>
      <p className="quiet">
        <Trans>
          The share of its worth that the class uses of each character: 100 % is the use of its typical one,
          the line in the middle. Bars are 90 % intervals; where one reaches from hardly any use to full use,
          the answers can’t tell yet. “Went by it” sets how often they said so beside how often it would be
          usual.
        </Trans>
      </p>
      <table className={`${ui['plain-table']} ${styles['characters']}`}>
        <thead>
          <tr>
            <th>
              <Trans>Character</Trans>
            </th>
            <th colSpan={2}>
              <Trans>Share of its worth used</Trans>
            </th>
            <th className={styles['num']}>
              <Trans>Went by it</Trans>
            </th>
            <th className={styles['num']}>
              <Trans>Stations that could tell</Trans>
            </th>
            <th className={styles['num']}>
              <Trans>Wrong answers it tells</Trans>
            </th>
          </tr>
        </thead>
        {[...organs].map(([organ, characters]) => (
          <tbody key={organ}>
            <tr>
              <th colSpan={6} scope="rowgroup" className={styles['organ']}>
                {capital(
                  organ === 'needle'
                    ? t`needles`
                    : inTongue(SHOWN_TITLES[organ as keyof typeof SHOWN_TITLES] ?? organ),
                )}
              </th>
            </tr>
            {characters
              .sort((x, y) => (x.worth?.share ?? 9) - (y.worth?.share ?? 9))
              .map((found) => (
                <CharacterRow
                  key={found.characterId}
                  found={found}
                  open={open === found.characterId}
                  onOpen={() => setOpen(open === found.characterId ? '' : found.characterId)}
                  {...{ courseId, data, report, names }}
                />
              ))}
          </tbody>
        ))}
      </table>
      {idle.length > 0 && (
        <p className="quiet">
          <Trans>
            <strong>Never decided anything</strong> at these stations, so that nothing can be said of them:{' '}
            {idle.map(({ characterId }) => names.character(characterId)).join(', ')}.
          </Trans>
        </p>
      )}
      <Prompts prompts={report.looking} pooled={isPooled(report)} names={names} />
      <Readings readings={report.readings} data={data} names={names} courseId={courseId} />
    </>
  );
}

/** A character, and the answers behind it where it is open. */
function CharacterRow({
  found,
  open,
  onOpen,
  courseId,
  data,
  report,
  names,
}: CharactersProps & { found: CharacterFinding; open: boolean; onOpen(): void }) {
  return (
    <>
      <tr>
        <td>
          <LinkButton aria-expanded={open} onClick={onOpen}>
            {names.character(found.characterId)}
          </LinkButton>
        </td>
        <UseOf found={found} report={report} />
        <td className={styles['num']}>{toldSaid(found)}</td>
        <td className={styles['num']}>{found.telling.length}</td>
        <td className={styles['num']}>{found.behind.length}</td>
      </tr>
      {open && (
        <tr>
          <td colSpan={6}>
            <Opened found={found} courseId={courseId} data={data} names={names} />
          </td>
        </tr>
      )}
    </>
  );
}

/** How often they said they went by it, of how often that would be usual. */
const toldSaid = ({ told }: CharacterFinding): string =>
  told ? t`${told.told} for ${Math.max(1, Math.round(told.expected))}` : '–';

/** How much of its worth is used, as a bar and in words, and why where it is little. */
function UseOf({ found, report }: { found: CharacterFinding; report: ClassReport }) {
  const { worth } = found;
  if (!worth)
    return (
      <td colSpan={2} className="quiet">
        <Trans>too few to say</Trans>
      </td>
    );
  const { text, range } = saidUse(worth, FINDING_WORDS);
  const little = whyLittleUsed(found, report);
  return (
    <>
      <td>
        <IntervalBar
          value={worth.share}
          interval={worth.interval}
          from={0}
          to={MOST}
          mark={1}
          tone={little ? 'rust' : 'action'}
          label={range ? t`${text}, 90 % interval ${range}` : text}
        />
      </td>
      <td>
        {text} {range && <span className="quiet">({range})</span>}{' '}
        {little && <em className="rust">{little}</em>}
      </td>
    </>
  );
}

/** Why a character is used too little, where the answers bear that it is: misread or overlooked, if it was asked what they see. */
function whyLittleUsed(found: CharacterFinding, { readings }: ClassReport): string | undefined {
  if (!found.sure) return undefined;
  const reading = readings.find((entry) => entry.characterId === found.characterId);
  const why = reading && misreadOrOverlooked(reading);
  return why === 'overlooked' ? t`overlooked` : FINDING_WORDS.verdicts[why ?? verdictOf(found, reading)];
}

/** The stations, students and answers behind a character. */
function Opened({
  found,
  courseId,
  data,
  names,
}: {
  found: CharacterFinding;
  courseId: string;
  data: ConfusionData;
  names: Names;
}) {
  const title = new Map(data.quizzes.map((quiz) => [quiz.id, quiz.title]));
  const stations = data.stations.filter(({ id }) => found.telling.includes(id));
  return (
    <div className={styles['opened-character']}>
      <p>
        <Trans>
          Could tell at{' '}
          {stations
            .map(
              (station) =>
                t`${title.get(station.quizId) ?? ''} station ${station.position} (${names.taxon(station.truth)})`,
            )
            .join(', ')}
          .
        </Trans>
      </p>
      {found.assumed.length > 0 && (
        <p className="gold">
          <Trans>
            Not scored for {found.assumed.map(names.taxon).join(', ')}: there the mean of the list stands in.
          </Trans>
        </p>
      )}
      {found.behind.length > 0 ? (
        <>
          <p>
            <Trans>
              {capital(plural(found.behind.length, { one: '# wrong answer', other: '# wrong answers' }))} that
              it tells from the truth:
            </Trans>
          </p>
          <AnswersBehind
            data={data}
            responses={found.behind}
            names={names}
            base={`/c/${courseId}/confusions`}
          />
        </>
      ) : (
        <p>
          <Trans>No wrong answer would have been told by it.</Trans>
        </p>
      )}
    </div>
  );
}
