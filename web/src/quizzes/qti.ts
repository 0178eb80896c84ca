import { plural, t } from '@lingui/core/macro';
import type { WholeCourse } from '@hurrow/contract/courses';
import type { PlanBody, Quiz } from '@hurrow/contract/quizzes';
import type { QtiField, QtiQuestion, QtiStation, ReadQti } from '@hurrow/core/formats';
import { fullPoints, resolveName, type MarkingPolicy, type NamedTaxon } from '@hurrow/core/names';
import { dayOfYear } from '@hurrow/core/season';
import {
  boundsAsAsked,
  inItsWords,
  kindsOf,
  namesToChoose,
  lettersOf,
  type FrozenQuestion,
  type NameToChoose,
} from '@hurrow/core/station';
import { scientificName } from '@hurrow/core/taxon';
import { MEDIUM_TITLES } from '@hurrow/core/view';
import { upperFirst } from '@hurrow/core/words';
import { asksAt, type AskSetting } from '../rounds/willAsk.ts';
import { freeTitle, stationOf, type Plan } from './planned.ts';
import { inTongue } from '../language/inTongue.ts';
import { listInWords, viewInWords } from '../language/inWords.ts';

/** Fields of a name with what counts in each, as the marks ask for it. A slip of spelling cannot be read there. */
export function nameFields(truth: NamedTaxon, { policy, points }: MarkingPolicy): QtiField[] {
  const all = (texts: readonly string[], of: number) =>
    [...new Set(texts)].map((text) => ({ text, points: of }));
  const { genus, synonyms, commonNames, family, olderFamilies = [] } = truth;
  if (policy === 'common')
    return [
      {
        label: t`Common name`,
        accepted: all([...commonNames, scientificName(truth), ...synonyms], points.name),
      },
    ];
  if (policy === 'genus') return [{ label: t`Genus`, accepted: all([genus], points.genus) }];
  const name: QtiField = {
    label: t`Genus and epithet`,
    accepted: [
      ...all([scientificName(truth), ...synonyms], points.genus + points.epithet),
      ...all([genus], points.genus),
    ],
  };
  if (policy === 'binomial') return [name];
  return [name, { label: t`Family`, accepted: all([family, ...olderFamilies], points.family) }];
}

/** What is asked in place of the name, as a question of QTI. */
export function askedAsQti(
  question: FrozenQuestion,
  truth: NamedTaxon,
  { marking, audience }: Pick<WholeCourse, 'marking' | 'audience'>,
): QtiQuestion {
  const prompt = inItsWords(question.asked, audience);
  const points = fullPoints(marking);
  const { kind, offered, right, number, items } = question;
  if (number) {
    const [from, to] = boundsAsAsked(number);
    return { asks: 'number', prompt, from, to, points };
  }
  if (items)
    return {
      asks: 'write',
      prompt: `${prompt} ${listInWords(offered.map((each) => inItsWords(each, audience)))}?`,
      fields: items.map((_, i) => ({
        label: lettersOf(items.length)[i]!,
        accepted: offered
          .filter(({ id }) => id === right[i])
          .map((each) => ({ text: inItsWords(each, audience), points: points / items.length })),
      })),
    };
  if (offered.length > 0)
    return {
      asks: 'choose',
      prompt,
      choices: offered.map((each) => ({ id: each.id, text: inItsWords(each, audience) })),
      right,
      points,
    };
  const texts =
    kind === 'family'
      ? [truth.family, ...(truth.olderFamilies ?? [])]
      : [truth.genus, ...(marking.policy === 'common' ? kindsOf(truth) : [])];
  const label = kind === 'family' ? 'Family' : 'Genus';
  return {
    asks: 'write',
    prompt,
    fields: [{ label, accepted: [...new Set(texts)].map((text) => ({ text, points })) }],
  };
}

/** Names to choose from as a question of QTI: right is the one that the marks ask of the tree. */
export function chosenAsQti(
  choices: readonly NameToChoose[],
  truth: NamedTaxon,
  marking: MarkingPolicy,
): QtiQuestion {
  return {
    asks: 'choose',
    prompt: t`Which tree is it?`,
    choices: choices.map(({ name }) => ({ id: name, text: name })),
    right: namesToChoose([truth.id], [truth], marking.policy).map(({ name }) => name),
    points: fullPoints(marking),
  };
}

/**
 * The stations of a quiz as questions of QTI; one whose tree is not in the library any more is left out.
 *
 * @param pictures SVG by the id of the station
 */
export function qtiStations(
  quiz: Quiz,
  course: WholeCourse,
  setting: AskSetting,
  pictures: Readonly<Record<string, string>>,
): QtiStation[] {
  return quiz.stations.flatMap((station): QtiStation[] => {
    const { asked, choices, list } = asksAt(station, course, setting);
    const truth = list.find(({ taxon }) => taxon.id === station.taxonId)?.taxon;
    if (!truth) return [];
    return [
      {
        position: station.position,
        shows: `${upperFirst(inTongue(MEDIUM_TITLES[station.medium]))}: ${viewInWords(station.view)}.`,
        picture: pictures[station.id] ?? null,
        question: asked
          ? askedAsQti(asked, truth, course)
          : choices.length > 0
            ? chosenAsQti(choices, truth, course.marking)
            : { asks: 'write', prompt: t`Name this tree`, fields: nameFields(truth, course.marking) },
      },
    ];
  });
}

/** A quiz that came in a package, as a plan, and what of it could not be taken. */
export interface FromQti {
  plan: Plan;
  left: string[];
}

const isPlan = (value: unknown): value is PlanBody =>
  typeof value === 'object' &&
  value !== null &&
  Array.isArray((value as PlanBody).stations) &&
  typeof (value as PlanBody).heldOn === 'string';

/**
 * A plan out of a package: ours as it was, under a title that is free; of another’s a cutting for each question whose right answer is a tree of the
 * list.
 */
export function planOfQti(
  read: ReadQti,
  list: readonly NamedTaxon[],
  quizzes: readonly { title: string }[],
  today: string,
): FromQti {
  const title = freeTitle(quizzes);
  if ('plan' in read) {
    if (!isPlan(read.plan)) return { plan: { title, heldOn: today, stations: [] }, left: [] };
    const { stations, heldOn, title: own } = read.plan;
    const taught = new Set(list.map(({ id }) => id));
    const kept = stations.filter(({ taxonId }) => taught.has(taxonId));
    const isFree = !quizzes.some((quiz) => quiz.title === own);
    return {
      plan: { title: isFree ? own : title, heldOn, stations: kept as Plan['stations'] },
      left:
        kept.length < stations.length
          ? [
              t`${plural(stations.length - kept.length, { one: '# station', other: '# stations' })} of trees that are not on this list`,
            ]
          : [],
    };
  }
  const left: string[] = [];
  const stations: Plan['stations'] = [];
  for (const { title: of, right } of read.answers) {
    const { taxonId } = resolveName(right, list);
    if (taxonId) stations.push(stationOf(taxonId, dayOfYear(today), undefined, stations.length));
    else left.push(t`“${of}”, whose answer “${right}” is no tree of this list`);
  }
  return { plan: { title, heldOn: today, stations }, left };
}
