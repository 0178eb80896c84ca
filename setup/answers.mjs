import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { createGenerator } from 'ts-json-schema-generator';

// The shape of every answer of the API as JSON Schema, made from its type in the contract. “check” writes nothing and fails where what is
// written has fallen behind.
const path = (name) => fileURLToPath(new URL(`../contract/${name}`, import.meta.url));
const sources = path('src/');
const copies = path('.answers/');
const written = path('answers.json');

/** The calls of a file of the contract, with the text of the type that each is answered with. */
const callsOf = (text) =>
  [
    ...text.matchAll(
      /export const \w+ = endpoint<\{([\s\S]*?)\}>\(\)\(\{\s*method: '(\w+)',\s*path: '([^']+)'/g,
    ),
  ].map(([, parts, method, address]) => ({
    call: `${method.toUpperCase()} ${address}`,
    answer: parts
      .slice(parts.lastIndexOf('answer:') + 'answer:'.length)
      .trim()
      .replace(/;$/, ''),
  }));

function schemas() {
  const calls = [];
  mkdirSync(copies, { recursive: true });
  try {
    for (const file of readdirSync(sources)) {
      const text = readFileSync(sources + file, 'utf8');
      const found = callsOf(text).filter(({ answer }) => answer !== 'Sent' && answer !== 'object');
      if (found.length === 0) continue;
      const named = found.map((entry, i) => ({ ...entry, name: `Answer${calls.length + i}` }));
      calls.push(...named);
      const types = named.map(({ name, answer }) => `export type ${name} = ${answer};`);
      writeFileSync(copies + file, [text.replaceAll("from './", "from '../src/"), ...types].join('\n'));
    }
    const generator = createGenerator({
      path: `${copies}*.ts`,
      tsconfig: fileURLToPath(new URL('../tsconfig.json', import.meta.url)),
      expose: 'none',
      topRef: false,
      skipTypeCheck: true,
      additionalProperties: false,
    });
    return Object.fromEntries(
      calls.map(({ call, name }) => {
        const { $schema: _, ...schema } = generator.createSchema(name);
        return [call, schema];
      }),
    );
  } finally {
    rmSync(copies, { recursive: true });
  }
}

const text = `${JSON.stringify(schemas())}\n`;
if (process.argv[2] !== 'check') writeFileSync(written, text);
else if (readFileSync(written, 'utf8') !== text) {
  console.error('contract/answers.json has fallen behind the contract. Run “npm run docs”.');
  process.exit(1);
}
