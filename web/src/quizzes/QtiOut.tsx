import { Trans } from '@lingui/react/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import type { Quiz } from '@hurrow/contract/quizzes';
import { writeQti } from '@hurrow/core/formats';
import { useLibrary } from '../app/data.ts';
import { download } from '../app/download.ts';
import { LinkButton } from '../app/parts.tsx';
import { useMayChange } from '../app/mayChange.ts';
import { useSaving } from '../app/useSaving.ts';
import { picturedAt, type AskSetting } from '../rounds/willAsk.ts';
import { planToBegin } from './planned.ts';
import { qtiStations } from './qti.ts';

/** Takes a quiz out as a QTI package, for a learning system: questions, what is right, and drawings. */
export function QtiOut({ course, quiz }: { course: WholeCourse; quiz: Quiz }) {
  const { library, vocabulary } = useLibrary();
  const mayChange = useMayChange();
  const { save, saving, problem } = useSaving();
  if (!mayChange || !library || quiz.stations.length === 0) return null;
  const take = () =>
    save(async () => {
      const setting = { library, vocabulary };
      const pictures = await picturesOf(quiz, course, setting);
      const stations = qtiStations(quiz, course, setting, pictures);
      const { default: Zip } = await import('jszip');
      const zip = new Zip();
      const plan = planToBegin(quiz, [], quiz.heldOn, '');
      for (const [name, text] of Object.entries(writeQti(quiz, stations, plan))) zip.file(name, text);
      const packed = await zip.generateAsync({ type: 'blob', compression: 'DEFLATE' });
      download(`${quiz.title.replace(/[^\p{L}\d]+/gu, '-').toLowerCase()}-qti.zip`, packed);
    });
  return (
    <>
      {' · '}
      <LinkButton disabled={saving} onClick={() => void take()}>
        <Trans>Take it out as QTI</Trans>
      </LinkButton>
      {problem && <span role="alert"> {problem}</span>}
    </>
  );
}

/** The pictures that students see, as SVG by the id of the station: of an opened quiz its own, of a planned one what it will show. */
async function picturesOf(
  quiz: Quiz,
  course: WholeCourse,
  setting: AskSetting,
): Promise<Record<string, string>> {
  const pictures: Record<string, string> = {};
  for (const station of quiz.stations) {
    if (station.drawn) {
      const sent = await fetch(`/api/quizzes/${quiz.id}/stations/${station.id}/drawing.svg`);
      if (sent.ok) pictures[station.id] = await sent.text();
      continue;
    }
    const picture = picturedAt(station, course, setting);
    if (picture) pictures[station.id] = picture;
  }
  return pictures;
}
