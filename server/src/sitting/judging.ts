import { isPlainText } from '../api/plainText.ts';
import { badInput, notFound, Problem } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { remember, type Db } from '../db/index.ts';
import { checkSeen, tellsMore } from '../quizzes/checkSeen.ts';
import { frozenStations } from '../quizzes/fixed.ts';
import * as quizQueries from '../quizzes/queries.ts';
import { responseSchema, type QuizHead, type ResponseBody } from '@hurrow/contract/quizzes';
import { reopenedFor } from '../running/queries.ts';

/** Where a station belongs and whether its quiz is open. */
export const placeOf = (db: Db, stationId: string) =>
  remember(db, `station ${stationId}`, async () => (await quizQueries.placesOf(db, [stationId]))[0]);

/** May a student answer at a station now? While its quiz is open, or where it is open for them still. */
export const maySit = async (
  db: Db,
  place: { quizId: string; state: QuizHead['state'] },
  studentId: string,
): Promise<boolean> =>
  place.state === 'open' ||
  (place.state === 'closed' && (await reopenedFor(db, studentId)).includes(place.quizId));

const idOf = (sent: unknown): string => String((sent as { id?: unknown } | null)?.id ?? '').slice(0, 80);

/** One answer as a phone sends it. Throws what is wrong with it in words for the student. */
function readResponse(sent: unknown): ResponseBody {
  if (!isPlainText(sent))
    throw badInput(say`This answer holds signs that cannot be stored. Type it again and send it once more.`);
  const { value, error } = responseSchema.validate(sent);
  if (error)
    throw badInput(
      say`This answer could not be read (${error.message.replace(/"([^"]*)"/g, '“$1”')}). Open the station, type it again and go on.`,
    );
  return value;
}

/** An answer that was sent: as it was read, or what is wrong with it. */
export type Judged = { id: string } & ({ body: ResponseBody; quizId: string } | { wrong: Problem });

/** Judges each answer alone: one that cannot be read keeps none of the others back. */
export async function judged(
  db: Db,
  sent: readonly unknown[],
  { courseId, studentId }: { courseId: string; studentId: string },
): Promise<Judged[]> {
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
    read.map(async (entry) =>
      'wrong' in entry
        ? entry
        : judge(entry.id, async () => {
            const { body } = entry;
            const place = places.get(body.stationId);
            if (place?.courseId !== courseId) throw notFound('station');
            if (!before.has(body.id) && !(await maySit(db, place, studentId)))
              throw new Problem(
                409,
                say`The quiz is closed and this answer came too late. It stays on this phone; show it to your instructor.`,
                undefined,
                'late',
              );
            if (tellsMore(body.answer)) {
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
