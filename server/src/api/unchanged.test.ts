import { once } from 'node:events';
import type { AddressInfo } from 'node:net';
import { request } from 'node:http';
import { brotliDecompressSync, gunzipSync } from 'node:zlib';
import express from 'express';
import { tagOf, unchanged } from './unchanged.ts';

const TEXT = 'Needles flat, in two ranks. '.repeat(200);
const app = express();
app.get('/', async (asked, response) => {
  const sent = await unchanged(asked, response, TEXT);
  if (sent) response.send(sent);
});
const server = app.listen(0);
await once(server, 'listening');
afterAll(() => server.close());

/** What comes on the wire, as it is packed. */
async function ask(headers: Record<string, string>) {
  const { port } = server.address() as AddressInfo;
  const asked = request({ port, headers }).end();
  const [answer] = await once(asked, 'response');
  const parts: Buffer[] = [];
  for await (const part of answer) parts.push(part as Buffer);
  return { status: answer.statusCode, headers: answer.headers, body: Buffer.concat(parts) };
}

test.each([
  ['gzip, deflate, br, zstd', 'br', brotliDecompressSync],
  ['gzip, deflate', 'gzip', gunzipSync],
  ['identity', undefined, (body: Buffer) => body],
])('whoever takes “%s” gets the text packed as small as that allows', async (takes, packing, unpack) => {
  const { headers, body } = await ask({ 'accept-encoding': takes });
  expect(headers['content-encoding']).toBe(packing);
  expect(unpack(body).toString()).toBe(TEXT);
});

test('whoever has it is told so and gets nothing', async () => {
  const { status, body } = await ask({ 'if-none-match': `W/"x", "${tagOf(TEXT)}"` });
  expect(status).toBe(304);
  expect(body).toHaveLength(0);
});
