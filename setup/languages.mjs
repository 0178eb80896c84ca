import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { getCatalogs } from '@lingui/cli/api';
import { getConfig } from '@lingui/conf';
import { compileMessage } from '@lingui/message-utils/compileMessage';
import { catalogue } from './words.mjs';

// The words of the interface as its source says them, written into the file of each other language with what is translated already.
// “check” writes nothing, and fails where a word is missing, is said no more, or lost what it names on the way.
const ROOT = join(import.meta.dirname, '..');

/** What a message names: its arguments and its elements, as `{who}` and `<0>`. */
function namedBy(message) {
  const named = new Set([...message.matchAll(/<\/?\w+\/?>/g)].map(([tag]) => tag));
  const look = (tokens) => {
    if (!Array.isArray(tokens)) return;
    for (const token of tokens) {
      if (!Array.isArray(token)) continue;
      named.add(`{${token[0]}}`);
      for (const choice of Object.values(token[2] ?? {})) look(choice);
    }
  };
  look(compileMessage(message));
  return [...named].sort().join(' ');
}

async function check() {
  const config = getConfig({ cwd: ROOT });
  const [catalog] = await getCatalogs(config);
  const said = await catalog.collect();
  const problems = [];
  for (const language of config.locales) {
    const written = catalogue(catalog.getFilename(language));
    const say = (message, what) => problems.push(`${language}: “${message}” ${what}`);
    for (const [id, { message }] of Object.entries(said)) {
      const translation = written[id]?.translation;
      if (!translation) say(message, 'is not translated');
      else if (namedBy(message) !== namedBy(translation))
        say(message, `names other things in “${translation}”`);
    }
    for (const [id, { message }] of Object.entries(written)) if (!said[id]) say(message, 'is said no more');
  }
  if (problems.length === 0) return;
  console.error([...problems, 'Run npm run words, and translate what is empty.'].join('\n'));
  process.exit(1);
}

if (process.argv[2] === 'check') await check();
else
  process.exit(
    spawnSync('npx', ['lingui', 'extract', '--clean'], { cwd: ROOT, stdio: 'inherit' }).status ?? 1,
  );
