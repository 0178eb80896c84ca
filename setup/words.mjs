import { readFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { transformSync } from '@babel/core';
import { getConfig } from '@lingui/conf';
import { formatter } from '@lingui/format-po';
import { compileMessage } from '@lingui/message-utils/compileMessage';

const ROOT = join(import.meta.dirname, '..');
const linguiConfig = getConfig({ cwd: ROOT });
const MACRO = /@lingui\/(core|react)\/macro/;

/**
 * What marks a word of the interface in the source, as the calls that say it: `t` and `<Trans>` become messages with their English.
 *
 * @param code the source of a module
 * @param filename where it stands
 * @returns {{ code: string, map?: object } | null} the module, or null where nothing in it is marked
 */
export const withWords = (code, filename) =>
  MACRO.test(code)
    ? transformSync(code, {
        filename,
        babelrc: false,
        configFile: false,
        sourceMaps: true,
        parserOpts: { plugins: ['typescript', 'jsx'] },
        plugins: [['@lingui/babel-plugin-lingui-macro', { stripMessageField: false, linguiConfig }]],
      })
    : null;

/** The modules that a page is made of: all that one of them imports, at once or later. */
export function reached(first, leaving = []) {
  const found = new Set();
  const look = (file) => {
    if (found.has(file) || leaving.includes(file)) return;
    found.add(file);
    for (const [, from] of readFileSync(file, 'utf8').matchAll(/(?:from|import\()\s*'(\.[^'?]+\.tsx?)'/g))
      look(join(dirname(file), from));
  };
  look(first);
  return found;
}

/** The messages of a language, by their ids: `{ message, translation, origin }`. */
export const catalogue = (file) =>
  formatter().parse(readFileSync(file, 'utf8'), { locale: null, sourceLocale: 'en' });

/** What phones and the door of the workbench say: all but the workbench itself. */
const forStudents = () => {
  const web = join(ROOT, 'web/src');
  const files = reached(join(web, 'app/start.tsx'), [join(web, 'app/Workbench.tsx')]);
  return new Set([...files].map((file) => relative(ROOT, file)));
};

/** Reads the words of the interface and its other languages into a build. */
export const words = () => ({
  name: 'words',
  enforce: 'pre',
  transform: (code, id) => (/\.tsx?$/.test(id) && !id.includes('node_modules') ? withWords(code, id) : null),
  load(id) {
    const [file, part] = id.split('?part=');
    if (!part) return null;
    const early = forStudents();
    // What the server says goes with the server's words, whoever else says it: a phone does not load those of the workbench.
    const holds = ({ origin }) => {
      const from = origin.map(([file]) => file);
      if (part === 'server') return from.some((file) => file.startsWith('server/'));
      const isEarly = from.some((file) => early.has(file));
      return part === 'student' ? isEarly : !isEarly && from.some((file) => file.startsWith('web/'));
    };
    const messages = Object.entries(catalogue(file))
      .filter(([, said]) => holds(said))
      .map(([key, { translation }]) => [key, compileMessage(translation)]);
    return `export default JSON.parse(${JSON.stringify(JSON.stringify(Object.fromEntries(messages)))})`;
  },
});
