import fc from 'fast-check';
import {
  checksum,
  fixOf,
  ggaOf,
  Listener,
  readSentence,
  shotOf,
  written,
  xdrOf,
  type Heard,
} from './index.ts';

const shot = { distance: 21.4, angle: 38.2, bearing: 120.5 };
const spoken = written('YXXDR', xdrOf(shot));
const gga = (latitude: number, longitude = -116.4, seconds = 60_000) =>
  written('GPGGA', ggaOf({ latitude, longitude, elevation: 780, seconds }));
const shots = (heard: Heard[]) => heard.filter((each) => each.heard === 'shot');
const fixes = (heard: Heard[]) => heard.flatMap((each) => (each.heard === 'fix' ? [each.fix] : []));

test('the sum of a sentence of the standard', () => {
  // The sentence that most descriptions of GGA begin with.
  const known = 'GPGGA,123519,4807.038,N,01131.000,E,1,08,0.9,545.4,M,46.9,M,,';
  expect(checksum(known)).toBe('47');
  const sentence = readSentence(`$${known}*47`);
  expect(sentence.ok && fixOf(sentence.value)).toMatchObject({
    latitude: 48 + 7.038 / 60,
    longitude: 11 + 31 / 60,
    elevation: 545.4,
    satellites: 8,
    seconds: 12 * 3600 + 35 * 60 + 19,
  });
});

test('what is written is read back equal', () => {
  const sentence = readSentence(spoken);
  expect(sentence.ok && shotOf(sentence.value)).toEqual(shot);
  fc.assert(
    fc.property(
      fc.double({ min: -89.9, max: 89.9, noNaN: true }),
      fc.double({ min: -179.9, max: 179.9, noNaN: true }),
      (latitude, longitude) => {
        const read = readSentence(gga(latitude, longitude));
        const fix = read.ok ? fixOf(read.value) : undefined;
        expect(fix!.latitude).toBeCloseTo(latitude, 5);
        expect(fix!.longitude).toBeCloseTo(longitude, 5);
      },
    ),
  );
});

test('wherever the line is cut up, each sentence is heard once', () => {
  const text = [gga(47.6), spoken, gga(47.60001)].map((line) => `${line}\r\n`).join('');
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: text.length }), { maxLength: 12 }), (cuts) => {
      const at = [0, ...cuts.sort((a, b) => a - b), text.length];
      const listener = new Listener();
      const heard = at.slice(1).flatMap((end, i) => listener.take(text.slice(at[i], end), i));
      expect(shots(heard)).toEqual([{ heard: 'shot', shot }]);
      expect(fixes(heard)).toHaveLength(2);
    }),
  );
});

test('one changed character is never taken for a reading', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: spoken.length - 1 }),
      fc.integer({ min: 32, max: 126 }),
      (i, code) => {
        const char = String.fromCharCode(code);
        const garbled = spoken.slice(0, i) + char + spoken.slice(i + 1);
        // Checksums in small letters say the same.
        fc.pre(garbled.toUpperCase() !== spoken.toUpperCase());
        expect(shots(new Listener().take(`${garbled}\n`, 0))).toEqual([]);
      },
    ),
  );
});

test('a sentence that was cut off is not mended with the next one', () => {
  const listener = new Listener();
  listener.take(spoken.slice(0, 20), 0);
  listener.cut();
  expect(listener.take(`${spoken.slice(20)}\n`, 1)).toMatchObject([{ heard: 'nothing' }]);
  expect(shots(listener.take(`${spoken}\n`, 2))).toHaveLength(1);
});

test('noise without an end is let go of, and what comes after is heard', () => {
  const listener = new Listener();
  expect(listener.take('x'.repeat(500), 0)).toMatchObject([{ heard: 'nothing' }]);
  expect(listener.take(`yy\n${spoken}\n`, 1)).toEqual([{ heard: 'shot', shot }]);
});

test('a shot without its angle, or with what cannot be, is reported and not taken', () => {
  const say = (...fields: string[]) => new Listener().take(`${written('YXXDR', fields)}\n`, 0);
  expect(say('D', '21.4', 'M', 'SLOPE')).toMatchObject([
    { why: expect.stringMatching(/Shoot again/) as string },
  ]);
  expect(say('D', '-3', 'M', 'SLOPE', 'A', '10', 'D', 'INCL')).toMatchObject([{ heard: 'nothing' }]);
  expect(say('D', '20', 'M', 'SLOPE', 'A', '94', 'D', 'INCL')).toMatchObject([{ heard: 'nothing' }]);
  expect(say('D', '2e1', 'M', 'SLOPE', 'A', '9', 'D', 'INCL')).toMatchObject([{ heard: 'nothing' }]);
});

test('the same shot sent twice at once is one; shot again later it is another', () => {
  const listener = new Listener();
  expect(shots(listener.take(`${spoken}\n${spoken}\n`, 0))).toHaveLength(1);
  expect(shots(listener.take(`${spoken}\n`, 5))).toHaveLength(1);
});

test('a position that jumps is left out until several agree', () => {
  const listener = new Listener();
  const hear = (latitude: number, at: number) => listener.take(`${gga(latitude, -116.4, at)}\n`, at);
  expect(fixes(hear(47.6, 0))).toHaveLength(1);
  expect(hear(47.7, 1)).toMatchObject([{ why: expect.stringMatching(/jumped by 111\d\d m/) as string }]);
  expect(fixes(hear(47.60001, 2))).toHaveLength(1);
  const away = [3, 4, 5, 6, 7].map((at) => fixes(hear(47.8, at)).length);
  expect(away).toEqual([0, 0, 0, 0, 1]);
  expect(fixes(hear(47.80001, 8))).toHaveLength(1);
});

test('no fix yet is said so', () => {
  const none = written('GPGGA', ['120000.00', '', '', '', '', '0', '00', '', '', 'M', '', 'M', '', '']);
  expect(new Listener().take(`${none}\n`, 0)).toMatchObject([
    { why: expect.stringMatching(/open sky/) as string },
  ]);
});
