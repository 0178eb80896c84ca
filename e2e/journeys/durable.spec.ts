import { randomUUID } from 'node:crypto';
import { expect, test } from '@playwright/test';
import { Hurrow } from '../hurrow.ts';

for (const [happens, how] of [
  ['killed', 'kill'],
  ['cut off from power', 'cutPower'],
] as const)
  test(`${happens} in the midst of writing, every acknowledged answer is there once after restart`, async ({
    playwright,
  }) => {
    const hurrow = await Hurrow.start('demo');
    const headers = { 'x-hurrow': '1' };
    const student = await playwright.request.newContext({ baseURL: hurrow.url, extraHTTPHeaders: headers });
    await student.post('/api/session/demo', { data: { as: 'student' } });
    const { open } = (await (await student.get('/api/sit')).json()) as {
      open: { stations: { id: string }[] }[];
    };
    const stations = open[0]!.stations;
    const acknowledged: string[] = [];
    let sequence = 0;
    const write = async () => {
      for (;;) {
        sequence += 1;
        const id = randomUUID();
        const response = {
          id,
          stationId: stations[sequence % stations.length]!.id,
          answer: { genus: 'Abies', epithet: `n${sequence}` },
          device: 'phone',
          sequence,
          writtenAt: new Date().toISOString(),
        };
        const answer = await student.post('/api/sit/responses', { data: { responses: [response] } });
        if (!answer.ok()) throw new Error(`refused with ${answer.status()}: ${await answer.text()}`);
        acknowledged.push(id);
      }
    };
    const writers = [write(), write(), write()].map((writer) =>
      writer.catch((error: unknown) => String(error)),
    );
    await expect.poll(() => acknowledged.length).toBeGreaterThan(60);
    await hurrow[how]();
    for (const ended of await Promise.all(writers)) expect(ended).toMatch(/ECONN|socket|closed/i);

    await hurrow.run();
    const again = await playwright.request.newContext({ baseURL: hurrow.url, extraHTTPHeaders: headers });
    await again.post('/api/session/demo', { data: { as: 'student' } });
    // Sent once more with another body, an answer that was stored is refused; one that was lost would be taken.
    const stored: string[] = [];
    for (let at = 0; at < acknowledged.length; at += 100) {
      const responses = acknowledged.slice(at, at + 100).map((id) => ({
        id,
        stationId: stations[0]!.id,
        answer: { genus: 'other' },
        device: 'probe',
        sequence: 1,
        writtenAt: new Date().toISOString(),
      }));
      // Two probes at least: a single one would be answered by its status alone.
      const extra = { ...responses[0]!, id: randomUUID() };
      const answer = await again.post('/api/sit/responses', {
        data: { responses: [...responses, extra] },
      });
      const { received, refused } = (await answer.json()) as {
        received: string[];
        refused: { id: string; message: string }[];
      };
      expect(received).toEqual([extra.id]);
      for (const { message } of refused) expect(message).toContain('was received before');
      stored.push(...refused.map(({ id }) => id));
    }
    expect(stored).toEqual(acknowledged);
    await hurrow.stop();
  });
