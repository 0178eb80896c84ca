import { parseSync, traverse } from '@babel/core';

/**
 * Finds what the server says with `say` (`server/src/api/say.ts`, and `server/src/language/tongue.ts` on paper): each is a message whose values are {0}, {1} and so on.
 *
 * @param code a module of the server
 * @returns {{ message: string, line: number, column: number }[]}
 */
export function saidIn(code, filename) {
  const found = [];
  if (!/\bsay`/.test(code)) return found;
  const tree = parseSync(code, {
    filename,
    babelrc: false,
    configFile: false,
    parserOpts: { plugins: ['typescript'] },
  });
  traverse(tree, {
    TaggedTemplateExpression({ node: { tag, quasi, loc } }) {
      const called = tag.type === 'MemberExpression' ? tag.property : tag;
      if (called.type !== 'Identifier' || called.name !== 'say') return;
      const message = quasi.quasis.reduce(
        (text, { value }, i) => text + (i > 0 ? `{${i - 1}}` : '') + value.cooked,
        '',
      );
      found.push({ message, line: loc.start.line, column: loc.start.column });
    },
  });
  return found;
}
