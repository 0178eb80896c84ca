import * as prints from '@hurrow/contract/prints';
import { badInput } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { serve } from '../api/route.ts';
import { course as courseNow, sets } from '../courses/queries.ts';
import type { Db } from '../db/index.ts';
import { type SureWay } from '@hurrow/contract/lookalikes';
import { recordNow } from '../library/records.ts';
import { courseLibrary } from '../library/committed.ts';
import { spokenIn } from '../language/spokenIn.ts';
import { printed } from './printed.ts';

/** The library and how a course wants it put: its words, units, list and site. */
async function settingOf(db: Db, courseId: string) {
  const course = await courseNow(db, courseId);
  const read = await courseLibrary(db, course ?? { namesIn: null });
  const language = course?.namesIn ?? null;
  const { library } = read;
  const taught = new Set(course ? (await sets(db, course.id)).flatMap((set) => set.taxa) : []);
  return {
    read,
    taught: library.taxa.flatMap(({ taxon: { id } }) => (taught.has(id) ? (read.profileOf(id) ?? []) : [])),
    options: {
      audience: course?.audience ?? ('technical' as const),
      units: course?.units ?? ('metric' as const),
      black: false,
      language,
      vocabulary: spokenIn(read.vocabulary, language),
      day: 230,
      sources: library.sources,
      reference: library.reference,
      ...(course ? { site: course } : {}),
    },
  };
}

export const lookalikePrintRoutes = [
  serve(prints.contrast, async ({ db, body }) => {
    const { read, taught, options } = await settingOf(db, body.course);
    const chosen = read.profilesOf(body.taxa);
    if (chosen.length < body.taxa.length)
      throw badInput(say`One of these species is no longer in the library. Choose again.`);
    const list = [...new Set([...taught, ...chosen])];
    const pair = body.taxa.length === 2 ? [...body.taxa].sort().join('|') : undefined;
    const sure = pair && (await recordNow<SureWay>(db, read.library.id, 'pair', pair))?.record?.text;
    return printed(body.paper, 'contrast', list, chosen, body.view, sure, options);
  }),
  serve(prints.key, async ({ db, body }) => {
    const { read, options } = await settingOf(db, body.course);
    return printed(body.paper, 'key', body.title, body.key, read.profiles, body.layout, options);
  }),
  serve(prints.marks, async ({ db, body }) => {
    const { read, options } = await settingOf(db, body.course);
    return printed(body.paper, 'marks', body.title, body.rows, read.profiles, options.language);
  }),
];
