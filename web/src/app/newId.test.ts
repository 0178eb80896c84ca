import { newId } from './newId.ts';

test('an id is a UUID of version 4 without the help of an encrypted connection', () => {
  const own = crypto.randomUUID.bind(crypto);
  Object.defineProperty(crypto, 'randomUUID', { value: undefined, configurable: true });
  try {
    const ids = Array.from({ length: 200 }, newId);
    for (const id of ids)
      expect(id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
    expect(new Set(ids).size).toBe(200);
  } finally {
    Object.defineProperty(crypto, 'randomUUID', { value: own, configurable: true });
  }
});
