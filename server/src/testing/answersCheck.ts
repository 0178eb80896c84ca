import { Ajv, type ValidateFunction } from 'ajv';
import { ANSWERS } from '../api/answers.ts';

const ajv = new Ajv({ allErrors: true, strict: false });
const shapes = Object.entries(ANSWERS).map(([call, schema]) => {
  const [method, path] = call.split(' ') as [string, string];
  return { method, path: new RegExp(`^${path.replace(/\{\w+\}/g, '[^/]+')}$`), schema };
});
const compiled = new Map<object, ValidateFunction>();

/** What of an answer is not as the contract says; nothing where all is, or where the contract says nothing of the address. */
export function strayIn(method: string, address: string, answer: unknown): string | undefined {
  const [path] = address.split('?') as [string];
  const shape = shapes.find((entry) => entry.method === method && entry.path.test(path));
  if (!shape) return undefined;
  let check = compiled.get(shape.schema);
  if (!check) compiled.set(shape.schema, (check = ajv.compile(shape.schema)));
  return check(answer) ? undefined : ajv.errorsText(check.errors);
}
