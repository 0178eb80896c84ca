import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';
import { constants, Script } from 'node:vm';
import type * as main from './main.ts';

// What a build starts with (see build.mjs): the program beside this file, with what this Node made of its text when it was built. Another
// Node, or one with other options, does not take that and reads the text again, which only takes longer.
const PROGRAM = fileURLToPath(new URL('./program.cjs', import.meta.url));
const MADE = `${PROGRAM}.made`;

/** As require does it, which cannot be told of what is made already. */
function run(cachedData?: Buffer): { script: Script; program: typeof main } {
  const script = new Script(
    `(function (require, module, exports, __filename, __dirname) {${readFileSync(PROGRAM, 'utf8')}\n})`,
    {
      filename: PROGRAM,
      ...(cachedData ? { cachedData } : {}),
      importModuleDynamically: constants.USE_MAIN_CONTEXT_DEFAULT_LOADER,
    },
  );
  const module = { exports: {} };
  const body = script.runInThisContext() as (...given: unknown[]) => void;
  body(createRequire(PROGRAM), module, module.exports, PROGRAM, dirname(PROGRAM));
  return { script, program: module.exports as typeof main };
}

if (process.argv[2] === 'make') writeFileSync(MADE, run().script.createCachedData());
else if (existsSync(MADE)) await run(readFileSync(MADE)).program.start();
// While it is being worked on nothing is made, and Node sees which files are to be watched.
else await (createRequire(import.meta.url)(PROGRAM) as typeof main).start();
