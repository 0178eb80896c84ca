import { once } from 'node:events';
import { createServer, type AddressInfo, type Server, type Socket } from 'node:net';
import type { InstrumentNews } from '@hurrow/contract/instruments';
import { ggaOf, written, xdrOf } from '@hurrow/core/nmea';
import { Line, splitAddress } from './line.ts';
import { onTrack, simulatedRangeFinder, simulatedReceiver } from './simulated.ts';

const ends: (() => void)[] = [];
afterEach(() => ends.splice(0).forEach((end) => end()));

const shot = { distance: 21.4, angle: 38.2, bearing: undefined };
const spoken = written('YXXDR', xdrOf(shot));
const gga = (latitude: number, seconds: number) =>
  written('GPGGA', ggaOf({ latitude, longitude: -116.4, elevation: 780, seconds }));

/** An instrument under test: whoever calls it is handed over. */
async function instrument(port = 0): Promise<{ server: Server; address: string; caller(): Promise<Socket> }> {
  const server = createServer();
  server.listen(port, '127.0.0.1');
  await once(server, 'listening');
  ends.push(() => server.close());
  const address = `127.0.0.1:${(server.address() as AddressInfo).port}`;
  return { server, address, caller: async () => ((await once(server, 'connection')) as [Socket])[0] };
}

function listening(address: string, options = {}, of: InstrumentNews['instrument'] = 'rangeFinder') {
  const line = new Line(of, address, { againAfter: 10, ...options });
  ends.push(() => line.end());
  const heard: InstrumentNews[] = [];
  const until = (fits: (news: InstrumentNews) => boolean): Promise<InstrumentNews> =>
    new Promise((resolve) => {
      if (fits(line.news)) return resolve(line.news);
      const stop = line.watch((news) => {
        if (!fits(news)) return;
        stop();
        resolve(news);
      });
    });
  line.watch((news) => heard.push(news));
  return { line, heard, until };
}

test('addresses of instruments', () => {
  expect(splitAddress('127.0.0.1:4681')).toEqual(['127.0.0.1', '4681']);
  expect(splitAddress('[::1]:4681')).toEqual(['::1', '4681']);
  for (const wrong of ['', 'host', 'host:', 'host:99999', 'a b:1', 'host:0'])
    expect(splitAddress(wrong)).toEqual([]);
});

test('without an address nobody is called, and asking for a shot says so', () => {
  const { line } = listening('');
  expect(line.news).toMatchObject({ line: 'none', count: 0 });
  expect(line.ask()).toBe(false);
});

test('cut off in mid-sentence it is called again, and the halves are not put together', async () => {
  const { address, caller } = await instrument();
  const { heard, until } = listening(address);
  const first = await caller();
  first.write(spoken.slice(0, 15));
  const again = caller();
  first.end();
  await until(({ line }) => line === 'calling');
  const second = await again;
  second.write(`${spoken.slice(15)}\r\n`);
  await until(({ trouble }) => /garbled/.test(trouble));
  second.write(`${spoken}\r\n`);
  const news = await until(({ count }) => count === 1);
  expect(news).toMatchObject({ line: 'speaking', trouble: '', shot: { distance: 21.4, angle: 38.2 } });
  expect(heard.filter(({ count }) => count > 1)).toEqual([]);
  second.destroy();
});

test('one that is not there yet is found once it is', async () => {
  const { server, address } = await instrument();
  server.close();
  await once(server, 'close');
  const { until } = listening(address);
  const lost = await until(({ trouble }) => trouble !== '');
  expect(lost).toMatchObject({ line: 'calling', trouble: expect.stringMatching(/not reached/) as string });
  const { caller } = await instrument(Number(address.split(':')[1]));
  const socket = await caller();
  await until(({ line }) => line === 'speaking');
  socket.destroy();
});

test('silence, wrong sums and jumps are told, and no false place is heard', async () => {
  const { address, caller } = await instrument();
  const { heard, until } = listening(address, { silentAfter: 60 }, 'receiver');
  const socket = await caller();
  await until(({ line }) => line === 'silent');
  socket.write(`${gga(47.6, 1)}\r\n`);
  await until(({ count }) => count === 1);
  socket.write(`${gga(47.6, 2).replace(/\*..$/, '*00')}\r\n${gga(48.6, 3)}\r\n`);
  await until(({ trouble }) => /jumped/.test(trouble));
  socket.write(`${gga(47.60001, 4)}\r\n`);
  await until(({ count }) => count === 2);
  expect(heard.every(({ fix }) => !fix || Math.abs(fix.latitude - 47.6) < 0.001)).toBe(true);
  socket.destroy();
});

test('the simulated ones speak the same words as a real one would', async () => {
  const [receiver, finder] = [simulatedReceiver(0), simulatedRangeFinder(0)];
  await Promise.all([once(receiver, 'listening'), once(finder, 'listening')]);
  ends.push(
    () => receiver.close(),
    () => finder.close(),
  );
  const at = (server: Server) => `127.0.0.1:${(server.address() as AddressInfo).port}`;
  const place = listening(at(receiver), {}, 'receiver');
  const range = listening(at(finder));
  await range.until(({ line }) => line === 'speaking');
  expect(range.line.ask()).toBe(true);
  const top = await range.until(({ count }) => count === 1);
  expect(top.shot).toMatchObject({ distance: 31.42, angle: 47.3 });
  range.line.ask();
  expect((await range.until(({ count }) => count === 2)).shot!.angle).toBeLessThan(0);
  const fix = await place.until(({ count }) => count === 1);
  expect(fix.fix!.latitude).toBeCloseTo(onTrack(1).latitude, 4);
});

test('the track is walked without a jump, round and round', () => {
  for (let second = 1; second < 4000; second += 7) {
    const [a, b] = [onTrack(second), onTrack(second + 1)];
    expect(
      Math.hypot((a.latitude - b.latitude) * 111_000, (a.longitude - b.longitude) * 75_000),
    ).toBeLessThan(2);
  }
});
