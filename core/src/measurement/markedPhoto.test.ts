import fc from 'fast-check';
import { markedPhoto, photosSvg, type Annotation } from './index.ts';

const size = { width: 1280, height: 960 };
const mark = (shape: Annotation['shape'], more: Partial<Annotation> = {}): Annotation => ({
  shape,
  from: { x: 0.1, y: 0.1 },
  to: { x: 0.3, y: 0.2 },
  ...more,
});
const look = { paper: '#fff', line: '#a00', ink: '#000' };

test('an arrow runs to its head, a circle around its middle', () => {
  const { marks } = markedPhoto({ annotations: [mark('arrow'), mark('circle')] }, size);
  expect(marks[0]!.d).toMatch(/^M128 96L384 192M/);
  expect(marks[1]!.d).toContain('a273');
});

test('words at the right edge are moved in as far as they are long', () => {
  const text = 'a rather long remark on a stalk';
  const { marks, thick } = markedPhoto(
    { annotations: [mark('arrow', { from: { x: 0.98, y: 0 }, text })] },
    size,
  );
  const at = marks[0]!.text!;
  expect(at.x + text.length * thick * 13 * 0.5).toBeLessThan(size.width);
  // Above the upper edge nothing would be read.
  expect(at.y).toBeGreaterThanOrEqual(thick * 13);
});

test('an enlarged part stands in the far corner, larger than it is, within the photo and not over itself', () => {
  const share = fc.double({ min: 0, max: 1, noNaN: true });
  const point = fc.record({ x: share, y: share });
  fc.assert(
    fc.property(point, point, (from, to) => {
      for (const { part, shown } of markedPhoto({ annotations: [mark('inset', { from, to })] }, size)
        .insets) {
        expect(shown.width).toBeGreaterThan(part.width * 1.1);
        expect(shown.width / shown.height).toBeCloseTo(part.width / part.height, 6);
        expect(Math.min(shown.x, shown.y)).toBeGreaterThan(0);
        expect(shown.x + shown.width).toBeLessThan(size.width);
        expect(shown.y + shown.height).toBeLessThan(size.height);
      }
    }),
  );
  const [inset] = markedPhoto({ annotations: [mark('inset')] }, size).insets;
  expect(inset!.shown.x).toBeGreaterThan(size.width / 2);
  expect(inset!.shown.y).toBeGreaterThan(size.height / 2);
  // What an arrow points at there is not covered.
  const arrow = mark('arrow', { from: { x: 0.6, y: 0.9 }, to: { x: 0.9, y: 0.9 } });
  const beside = markedPhoto({ annotations: [mark('inset'), arrow] }, size).insets[0]!.shown;
  expect(beside.y + beside.height).toBeLessThan(0.9 * size.height);
  // Half of the photo has no room to be shown larger.
  const wide = mark('inset', { from: { x: 0, y: 0 }, to: { x: 0.5, y: 0.5 } });
  expect(markedPhoto({ annotations: [wide] }, size).insets).toEqual([]);
});

test('a rule is a round length that fits, in the units of the course', () => {
  const at = (scale: number, units?: 'imperial') => markedPhoto({ annotations: [], scale }, size, units).rule;
  expect(at(0.0001)).toMatchObject({ label: '2 cm', length: expect.closeTo(200, 6) as number });
  expect(at(0.0001, 'imperial')).toMatchObject({ label: '1 in', length: expect.closeTo(254, 6) as number });
  expect(at(0.003)!.label).toBe('1 m');
  expect(markedPhoto({ annotations: [] }, size).rule).toBeUndefined();
});

test('two photos stand side by side, equally high, and nothing in their words is markup', () => {
  const record = { annotations: [mark('label', { text: '<script>' })] };
  const photo = { record, href: 'data:image/jpeg;base64,AA', ...size };
  const { svg, width, height } = photosSvg([photo, { ...photo, width: 640, height: 960 }], look, 'metric');
  expect({ width, height }).toEqual({ width: 1280 + 24 + 640, height: 960 });
  expect(svg.match(/<image /g)).toHaveLength(2);
  expect(svg).not.toContain('<script>');
  expect(photosSvg([photo], look, 'metric').width).toBe(1280);
});
