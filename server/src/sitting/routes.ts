import type { QuizHead } from '@hurrow/contract/quizzes';
import * as sitting from '@hurrow/contract/sitting';
import type { NamingPolicy } from '@hurrow/core/names';
import { effectiveResponses, statesToSee } from '@hurrow/core/quiz';
import { characterName, type Audience } from '@hurrow/core/score';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { MEDIUM_TITLES, viewInWords } from '@hurrow/core/view';
import { stateOf } from '@hurrow/core/vocabulary';
import { isPlainText } from '../api/plainText.ts';
import { badInput, notFound, Problem } from '../api/problem.ts';
import { serve } from '../api/route.ts';
import { unchanged } from '../api/unchanged.ts';
import { isUuid } from '../db/uuid.ts';
import { remember, type Db } from '../db/index.ts';
import { openNow } from '../courses/openNow.ts';
import { courseOf } from '../courses/course.ts';
import { answersCame } from '../quizzes/changes.ts';
import { checkSeen } from '../quizzes/checkSeen.ts';
import { frozenStations } from '../quizzes/fixed.ts';
import { marksOf } from '../quizzes/marking.ts';
import * as quizQueries from '../quizzes/queries.ts';
import { receive } from '../quizzes/receive.ts';
import { responseSchema, type ResponseBody } from '@hurrow/contract/quizzes';
import { committedLibrary } from '../library/committed.ts';
import { keepPace } from './pace.ts';

/** The “what do you see” questions of a station with all states to choose from; what is right there stays here. */
async function questionsInWords(db: Db, { frozen }: quizQueries.StationRow, audience: Audience) {
  if (!frozen?.asks?.length) return [];
  const { vocabulary } = await committedLibrary(db, frozen.revision);
  return frozen.asks.flatMap(({ characterId }) => {
    const character = vocabulary.get(characterId);
    if (!character) return [];
    const word = (state: { term: string; plain: string }) =>
      audience === 'plain' ? state.plain : state.term;
    return {
      characterId,
      question: characterName(character, audience),
      states: statesToSee(character).map((id) => {
        const state = stateOf(character, id)!;
        return { id, word: word(state), definition: state.definition };
      }),
    };
  });
}

/** Stations at which students look at the phone; at all others they look at what lies there. */
const isPicture = ({ medium }: Pick<quizQueries.StationRow, 'medium'>): boolean =>
  medium === 'drawing' || medium === 'photo';

const idOf = (sent: unknown): string => String((sent as { id?: unknown } | null)?.id ?? '').slice(0, 80);

/** One answer as a phone sends it. Throws what is wrong with it in words for the student. */
function readResponse(sent: unknown): ResponseBody {
  if (!isPlainText(sent))
    throw badInput('This answer holds signs that cannot be stored. Type it again and send it once more.');
  const { value, error } = responseSchema.validate(sent);
  if (error)
    throw badInput(
      `This answer could not be read: ${error.message.replace(/"([^"]*)"/g, '“$1”')}. Open the station, type it again and go on.`,
    );
  return value;
}

/** A quiz as every student of a course sees it, put into words. */
async function quizInWords(db: Db, quiz: QuizHead, audience: Audience, policy: NamingPolicy) {
  const stations = await frozenStations(db, quiz.id);
  const list = stations[0]?.frozen?.list ?? [];
  return {
    id: quiz.id,
    title: quiz.title,
    policy: stations[0]?.frozen?.marking.policy ?? policy,
    names: policy === 'common' ? list.map(commonName).sort() : [],
    stations: await Promise.all(
      stations.map(async (station) => ({
        id: station.id,
        position: station.position,
        medium: MEDIUM_TITLES[station.medium],
        shows: viewInWords(station.view),
        drawn: isPicture(station) && Boolean(station.frozen?.drawing),
        asks: await questionsInWords(db, station, audience),
      })),
    ),
  };
}

type QuizInWords = Awaited<ReturnType<typeof quizInWords>>;
/** What opening has fixed is put into words once; it is forgotten with the fixed stations. */
const inWords = new WeakMap<object, Map<string, QuizInWords>>();

async function sameForAll(db: Db, quiz: QuizHead, audience: Audience, policy: NamingPolicy) {
  const frozen = (await frozenStations(db, quiz.id))[0]?.frozen;
  if (!frozen) return quizInWords(db, quiz, audience, policy);
  const key = `${quiz.title} ${audience} ${policy}`;
  const held = inWords.get(frozen) ?? new Map<string, QuizInWords>();
  inWords.set(frozen, held);
  const found = held.get(key) ?? (await quizInWords(db, quiz, audience, policy));
  held.set(key, found);
  return found;
}

const statesOf = (db: Db, courseId: string) =>
  remember(db, `quizzes ${courseId}`, () => quizQueries.quizStates(db, courseId));

/** Where a station belongs and whether its quiz is open. */
const placeOf = (db: Db, stationId: string) =>
  remember(db, `station ${stationId}`, async () => (await quizQueries.placesOf(db, [stationId]))[0]);

/** An answer that was sent: as it was read, or what is wrong with it. */
type Judged = { id: string } & ({ body: ResponseBody; quizId: string } | { wrong: Problem });

/** Judges each answer alone: one that cannot be read keeps none of the others back. */
async function judged(db: Db, sent: readonly unknown[], courseId: string): Promise<Judged[]> {
  const read = await Promise.all(
    sent.map((one) => judge(idOf(one), async () => ({ body: readResponse(one), quizId: '' }))),
  );
  const bodies = read.flatMap((entry) => ('body' in entry ? entry.body : []));
  const stationIds = [...new Set(bodies.map(({ stationId }) => stationId))];
  const places = new Map(
    await Promise.all(stationIds.map(async (id) => [id, await placeOf(db, id)] as const)),
  );
  // What came in time and is sent again, since its acknowledgement was lost, is acknowledged for as long as a phone asks.
  const late = bodies.filter(({ stationId }) => places.get(stationId)?.state !== 'open');
  const ids = late.map(({ id }) => id);
  const before = new Set(
    ids.length > 0 ? (await quizQueries.receivedBefore(db, ids)).map((row) => row.id) : [],
  );
  return Promise.all(
    read.map((entry) =>
      'wrong' in entry
        ? entry
        : judge(entry.id, async () => {
            const { body } = entry;
            const place = places.get(body.stationId);
            if (place?.courseId !== courseId) throw notFound('station');
            if (place.state !== 'open' && !before.has(body.id))
              throw new Problem(
                409,
                'The quiz is closed and this answer came too late. It stays on this phone; show it to your instructor.',
                undefined,
                'late',
              );
            if (Object.values(body.answer.seen ?? {}).some(Boolean)) {
              const stations = await frozenStations(db, place.quizId);
              await checkSeen(
                db,
                stations.find(({ id }) => id === body.stationId)!,
                body.answer,
              );
            }
            return { body, quizId: place.quizId };
          }),
    ),
  );
}

async function judge(
  id: string,
  work: () => Promise<{ body: ResponseBody; quizId: string }>,
): Promise<Judged> {
  try {
    return { id, ...(await work()) };
  } catch (error) {
    if (error instanceof Problem) return { id, wrong: error };
    throw error;
  }
}

/** What a student’s phone may know: never the taxon of a station nor its traits. */
export const sittingRoutes = [
  serve(sitting.now, async ({ db, who }) => {
    const { courseId } = who!;
    const course = await remember(db, `course ${courseId}`, () => courseOf(db, courseId!));
    const quizzes = await statesOf(db, course.id);
    const own = effectiveResponses(await quizQueries.responsesOfStudent(db, who!.studentId!));
    const answers = new Map(own.map(({ response }) => [response.stationId, response.answer]));
    const open = [];
    for (const quiz of quizzes.filter(({ state }) => state === 'open')) {
      const shown = await sameForAll(db, quiz, course.audience, course.marking.policy);
      const stations = shown.stations.map((row) => ({ ...row, answer: answers.get(row.id) ?? null }));
      open.push({ ...shown, stations });
    }
    return {
      course: course.name,
      courseId: course.id,
      opens: await openNow(db, course),
      name: who!.name,
      open,
      released: quizzes
        .filter((row) => row.state === 'closed' && row.released)
        .map((row) => ({ id: row.id, title: row.title, heldOn: row.heldOn })),
    };
  }),
  serve(sitting.drawing, async ({ db, params, who, request, response }) => {
    if (!isUuid(params.stationId)) throw notFound('drawing');
    const place = await placeOf(db, params.stationId);
    if (place?.courseId !== who!.courseId || place?.state !== 'open') throw notFound('drawing');
    const station = (await frozenStations(db, place.quizId)).find(({ id }) => id === params.stationId);
    if (!station?.frozen?.drawing || !isPicture(station)) throw notFound('drawing');
    return unchanged(request, response, station.frozen.drawing);
  }),
  serve(sitting.answer, async ({ db, body, who, health }) => {
    const [now, { length }] = [performance.now(), body.responses];
    keepPace('student', who!.studentId!, length, now);
    keepPace('course', who!.courseId!, length, now);
    const all = await judged(db, body.responses, who!.courseId!);
    const good = all.flatMap((entry) => ('body' in entry ? entry.body : []));
    const stored = await receive(db, who!.studentId!, good, { by: 'student' });
    const received = stored.flatMap((row) => (row instanceof Problem ? [] : row));
    // Nobody is told before it is on the disk.
    await db.keep(received);
    health.countAnswers(received.length);
    answersCame(all.flatMap((entry) => ('body' in entry ? entry.quizId : [])));
    const refused = [
      ...all.flatMap((entry) => ('wrong' in entry ? entry : [])),
      ...stored.flatMap((row, i) => (row instanceof Problem ? { id: good[i]!.id, wrong: row } : [])),
    ];
    if (body.responses.length === 1 && refused[0]) throw refused[0].wrong;
    return {
      received: received.map(({ id }) => id),
      refused: refused.map(({ id, wrong }) => ({ id, message: wrong.message })),
    };
  }),
  serve(sitting.result, async ({ db, params, who }) => {
    const quiz = await quizQueries.quiz(db, params.quizId);
    if (!quiz || quiz.courseId !== who!.courseId) throw notFound('quiz');
    if (quiz.state !== 'closed' || !quiz.released)
      throw new Problem(403, 'Your instructor has not released this result yet. Look again later.');
    const { stations, answers } = await marksOf(db, quiz);
    const counted = stations.filter((station) => !station.voided && station.frozen);
    const rows = counted.map((station) => {
      const answer = answers.find(
        (entry) => entry.stationId === station.id && entry.studentId === who!.studentId,
      );
      const truth = station.frozen!.list.find((taxon) => taxon.id === station.frozen!.truth)!;
      const { points: full } = station.frozen!.marking;
      const policy = station.frozen!.marking.policy;
      const outOf =
        policy === 'common'
          ? full.name
          : full.genus +
            (policy === 'genus' ? 0 : full.epithet) +
            (policy === 'binomialFamily' ? full.family : 0);
      return {
        position: station.position,
        written: answer ? [answer.text, answer.written.family].filter(Boolean).join(', ') : '',
        points: answer?.mark.points ?? 0,
        outOf,
        truth: policy === 'common' ? commonName(truth) : scientificName(truth),
        latin: policy !== 'common',
        family: policy === 'binomialFamily' ? truth.family : null,
        remarks: (answer?.mark.parts ?? [])
          .filter((part) => part.remark !== 'right')
          .map((part) => `${part.part}: ${part.remark}`),
      };
    });
    return {
      title: quiz.title,
      points: rows.reduce((sum, row) => sum + row.points, 0),
      outOf: rows.reduce((sum, row) => sum + row.outOf, 0),
      rows,
    };
  }),
];
