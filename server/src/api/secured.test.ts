import { once } from 'node:events';
import type { AddressInfo } from 'node:net';
import express from 'express';
import { CONFIG } from '../testing/testHurrow.ts';
import { secured } from './secured.ts';

const app = express();
app.use(secured({ ...CONFIG, secure: true }));
app.use((_request, response) => void response.send(response.locals['nonce'] as string));
const server = app.listen(0);
await once(server, 'listening');
afterAll(() => server.close());

const ask = (path: string) => fetch(`http://localhost:${(server.address() as AddressInfo).port}${path}`);

test('a page has a nonce of its own for styles, and may not be framed', async () => {
  const [first, second] = await Promise.all([ask('/'), ask('/')]);
  const nonces = await Promise.all([first.text(), second.text()]);
  expect(nonces[0]).not.toBe(nonces[1]);
  expect(first.headers.get('content-security-policy')).toContain(`style-src 'self' 'nonce-${nonces[0]}'`);
  expect(first.headers.get('content-security-policy')).toContain("frame-ancestors 'none'");
});

test('a file of the pages, a worker too, reaches nothing but this server and is taken for what it is', async () => {
  const { headers } = await ask('/assets/any.js');
  expect(headers.get('content-security-policy')).toBe("default-src 'self'");
  expect(headers.get('x-content-type-options')).toBe('nosniff');
  expect(headers.get('cross-origin-resource-policy')).toBe('same-origin');
  expect(headers.get('strict-transport-security')).toBeTruthy();
  expect(headers.get('x-frame-options')).toBeNull();
});
