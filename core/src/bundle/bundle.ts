import { Ajv2020, type ErrorObject, type ValidateFunction } from 'ajv/dist/2020.js';
import type { Library } from '../library/index.ts';
import { done, refused, type Outcome } from '../outcome/index.ts';
import { isRangeCell, type Range } from '../range/index.ts';
import { BUNDLE_SCHEMA } from './bundleSchema.ts';

/** A whole library in one file: what `docs/library.schema.json` describes. */
export interface Bundle extends Library {
  format: 'hurrow-library';
  version: 1;
  name: string;
  /** Ranges by the id of the taxon. */
  ranges: Record<string, Range>;
}

/** The bundle as JSON text, indented so that a change shows as a change of lines. */
export const writeBundle = (library: Library & { name: string }, ranges: Record<string, Range>): string => {
  const { name, reference, sources, reconciliation, characters, taxa } = library;
  const bundle: Bundle = {
    format: 'hurrow-library',
    version: 1,
    name,
    reference,
    sources,
    reconciliation,
    characters,
    taxa,
    ranges,
  };
  return `${JSON.stringify(bundle, null, 1)}\n`;
};

let compiled: ValidateFunction<Bundle> | undefined;
/** What holds a file against the schema; made with the first file, for it takes a third of a second. */
const validator = () =>
  (compiled ??= new Ajv2020({ allErrors: false, strict: true }).compile<Bundle>(BUNDLE_SCHEMA));

/** Reads a bundle. What does not follow the schema is refused with the place in the file. */
export function readBundle(text: string): Outcome<Bundle> {
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
  } catch {
    return refused('The file is no JSON. A library bundle is exported under Species, Exchange.');
  }
  const validate = validator();
  if (!validate(parsed)) return refused(whatIsWrong(validate.errors?.[0]));
  const strange = Object.values(parsed.ranges).flatMap(({ cells }) =>
    Object.keys(cells).filter((cell) => !isRangeCell(cell)),
  )[0];
  if (strange)
    return refused(`“${strange}” under ranges is no H3 cell of resolution 4. Export the bundle again.`);
  return done(parsed);
}

function whatIsWrong(error: ErrorObject | undefined): string {
  if (!error) return 'The file does not follow the schema of a library bundle.';
  if (error.instancePath === '' && error.keyword === 'const')
    return 'The file is JSON but no library bundle. Choose the file that Hurrow exported.';
  const place = error.instancePath.split('/').filter(Boolean).join(' › ') || 'the file';
  const detail = error.keyword === 'additionalProperties' ? `: ${JSON.stringify(error.params)}` : '';
  return `In ${place}: ${error.message}${detail}. Mend the file or export it again.`;
}
