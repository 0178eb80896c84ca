import type { QuizHead } from '@hurrow/contract/quizzes';
import type { NamingPolicy } from '@hurrow/core/names';
import { asStudentsRead, namesToChoose, offeredInWords, statesToSee } from '@hurrow/core/station';
import { characterName, type Audience } from '@hurrow/core/score';
import { commonName } from '@hurrow/core/taxon';
import { MEDIUM_TITLES, type Looked, type View } from '@hurrow/core/view';
import { stateOf } from '@hurrow/core/vocabulary';
import { contestOf } from '../contests/queries.ts';
import { type Db } from '../db/index.ts';
import { frozenStations } from '../quizzes/fixed.ts';
import type * as quizQueries from '../quizzes/queries.ts';
import { committedLibrary } from '../library/committed.ts';

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

/** What can be told as gone by at a station, organ by organ as a tree is looked at. */
async function checklistInWords(db: Db, { frozen }: quizQueries.StationRow, audience: Audience) {
  if (!frozen?.wentBy?.length) return [];
  const { vocabulary } = await committedLibrary(db, frozen.revision);
  return offeredInWords(frozen.wentBy, vocabulary, audience);
}

/** What half of a station's students are told to look at first, in words; null where nobody is. */
async function promptInWords(db: Db, { frozen }: quizQueries.StationRow, audience: Audience) {
  if (!frozen?.prompt) return null;
  const { vocabulary } = await committedLibrary(db, frozen.revision);
  const character = vocabulary.get(frozen.prompt);
  return character ? characterName(character, audience) : null;
}

/** Stations at which students look at the phone; at all others they look at what lies there. */
export const isPicture = ({ medium }: Pick<quizQueries.StationRow, 'medium'>): boolean =>
  medium === 'drawing' || medium === 'photo';

/** Of a view what a student may know of it. */
const lookedAt = ({ organs, nearness, aids, leaves }: View): Looked => ({
  organs,
  nearness,
  aids,
  ...(leaves ? { leaves } : {}),
});

/** A quiz as every student of a course sees it, put into words. */
async function quizInWords(
  db: Db,
  quiz: QuizHead,
  audience: Audience,
  policy: NamingPolicy,
  allowed: string,
) {
  const stations = await frozenStations(db, quiz.id);
  const list = stations[0]?.frozen?.list ?? [];
  return {
    id: quiz.id,
    title: quiz.title,
    policy: stations[0]?.frozen?.marking.policy ?? policy,
    allowed,
    names: policy === 'common' ? list.map(commonName).sort() : [],
    stations: await Promise.all(
      stations.map(async (station) => ({
        id: station.id,
        position: station.position,
        medium: MEDIUM_TITLES[station.medium],
        shows: lookedAt(station.view),
        drawn: isPicture(station) && Boolean(station.frozen?.drawing),
        asks: await questionsInWords(db, station, audience),
        wentBy: await checklistInWords(db, station, audience),
        prompt: await promptInWords(db, station, audience),
        ...(station.frozen?.prompt ? { promptOf: station.frozen.prompt } : {}),
        choices: station.frozen
          ? namesToChoose(station.frozen.choices ?? [], station.frozen.list, station.frozen.marking.policy)
          : [],
        question: station.frozen?.question ? asStudentsRead(station.frozen.question, audience) : null,
      })),
    ),
  };
}

type QuizInWords = Awaited<ReturnType<typeof quizInWords>>;
/** What opening has fixed is put into words once; it is forgotten with the fixed stations. */
const inWords = new WeakMap<object, Map<string, QuizInWords>>();

/** The same, worked out once for all students of a course. */
export async function sameForAll(db: Db, quiz: QuizHead, audience: Audience, policy: NamingPolicy) {
  const frozen = (await frozenStations(db, quiz.id))[0]?.frozen;
  const allowed = (await contestOf(db, quiz.id))?.aids ?? '';
  if (!frozen) return quizInWords(db, quiz, audience, policy, allowed);
  const key = `${quiz.title} ${audience} ${policy} ${allowed}`;
  const held = inWords.get(frozen) ?? new Map<string, QuizInWords>();
  inWords.set(frozen, held);
  const found = held.get(key) ?? (await quizInWords(db, quiz, audience, policy, allowed));
  held.set(key, found);
  return found;
}
