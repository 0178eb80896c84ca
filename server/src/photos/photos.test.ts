import sharp from 'sharp';
import { baseOf, libraryOf } from '../testing/libraryOf.ts';
import { plantCourse, startHurrow, type Caller, type TestHurrow } from '../testing/testHurrow.ts';

let hurrow: TestHurrow;
let owner: Caller;
let red: string;
let sugar: string;

beforeAll(async () => {
  hurrow = await startHurrow();
  owner = hurrow.owner;
  const planted = await plantCourse(owner);
  [red, sugar] = [planted.red.id, planted.sugar.id];
});
afterAll(() => hurrow.close());

const library = () => libraryOf(owner);
const base = () => baseOf(owner);

/** 47.61234 N 116.41234 W, as a camera writes it down. */
const PLACE = {
  GPSLatitudeRef: 'N',
  GPSLatitude: '47/1 36/1 4442/100',
  GPSLongitudeRef: 'W',
  GPSLongitude: '116/1 24/1 4442/100',
};

describe('photos', () => {
  const picture = (width: number, height: number) =>
    sharp({ create: { width, height, channels: 3, background: { r: 40, g: 120, b: 60 } } });
  const send = async (bytes: Buffer, query = '', taxon = red) => {
    const response = await owner.upload<{
      id: string;
      revision: number;
      record: object;
      positionFound: boolean;
    }>(`/api/library/taxa/${taxon}/photos${query}`, bytes, 'image/jpeg');
    return response;
  };
  /** Turned a quarter, with a place. */
  const turned = async () =>
    picture(900, 300)
      .withExif({
        IFD0: { Copyright: 'somebody' },
        IFD3: PLACE,
      })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();

  test('are turned upright, encoded again in three sizes, and lose everything else', async () => {
    const { body } = await send(await turned());
    for (const [size, longest] of [
      ['thumb', 240],
      ['screen', 900],
      ['full', 900],
    ] as const) {
      const got = await owner.download(`/api/library/photos/${body.id}/${size}`);
      const seen = await sharp(got).metadata();
      expect([seen.format, seen.width! < seen.height!, seen.height]).toEqual(['webp', true, longest]);
      expect(seen.exif).toBeUndefined();
    }
    expect(body.record).not.toHaveProperty('position');
  });
  test('keep their position only when asked, rounded for a protected tree', async () => {
    const kept = await send(
      await picture(50, 50)
        .withExif({
          IFD3: PLACE,
        })
        .jpeg()
        .toBuffer(),
      '?keepPosition=true',
    );
    expect(kept.body.record).toMatchObject({
      position: {
        latitude: expect.closeTo(47.61234, 4) as number,
        longitude: expect.closeTo(-116.41234, 4) as number,
      },
    });
    const held = (await library()).taxa.find(({ taxon }) => taxon.id === sugar)!;
    const taxon = { ...held.taxon, id: undefined };
    await owner.put(`/api/library/taxa/${sugar}`, {
      taxon: {
        ...taxon,
        cautions: [{ kind: 'protected', part: 'tree', effect: 'rare', care: 'photograph only' }],
      },
      changes: [],
      baseRevision: await base(),
    });
    const rounded = await send(
      await picture(50, 50)
        .withExif({
          IFD3: PLACE,
        })
        .jpeg()
        .toBuffer(),
      '?keepPosition=true',
      sugar,
    );
    expect(rounded.body.record).toMatchObject({ position: { latitude: 47.6, longitude: -116.4 } });
  });
  test('hold credit, licence and annotations, can be taken out and brought back', async () => {
    const { id } = (await send(await picture(60, 40).png().toBuffer())).body;
    const record = {
      organ: 'bud',
      qualifiers: {},
      credit: 'I. Falk',
      licence: 'CC BY 4.0',
      annotations: [
        {
          shape: 'arrow',
          from: { x: 0.1, y: 0.1 },
          to: { x: 0.5, y: 0.5 },
          text: 'scales',
          characterId: 'bud.scales',
          state: 'two',
        },
      ],
    };
    expect(
      (await owner.put(`/api/library/photos/${id}`, { record, baseRevision: await base() })).status,
    ).toBe(200);
    const list = async () =>
      (await owner.get<{ photos: { id: string; record: object }[] }>(`/api/library/taxa/${red}/photos`)).body
        .photos;
    expect((await list()).find((photo) => photo.id === id)!.record).toEqual(record);
    const gone = await owner.call<{ revision: number }>('DELETE', `/api/library/photos/${id}`);
    expect((await list()).some((photo) => photo.id === id)).toBe(false);
    await owner.post(`/api/library/revisions/${gone.body.revision}/undo`);
    expect((await list()).some((photo) => photo.id === id)).toBe(true);
    expect((await owner.call('DELETE', '/api/library/photos/none')).status).toBe(404);
  });
  test('what is no photograph, and a drawing that could hold a script, are refused', async () => {
    const nothing = await owner.call('POST', `/api/library/taxa/${red}/photos`);
    expect(nothing).toMatchObject({
      status: 422,
      body: { message: expect.stringContaining('No picture came') },
    });
    expect((await send(Buffer.alloc(0))).status).toBe(422);
    for (const bytes of [
      Buffer.from('abies grandis'),
      Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>'),
    ])
      expect((await send(bytes)).body.message).toContain('no photograph');
    const whole = await picture(400, 400).png().toBuffer();
    expect((await send(whole.subarray(0, 200))).status).toBe(422);
  });
});

describe('a photo station', () => {
  test('shows the photo where one may leave the library and shows the organ, and tells nothing else', async () => {
    const bytes = await sharp({ create: { width: 80, height: 60, channels: 3, background: '#6a8' } })
      .jpeg()
      .toBuffer();
    const { id } = (
      await owner.upload<{ id: string }>(`/api/library/taxa/${sugar}/photos`, bytes, 'image/jpeg')
    ).body;
    const record = {
      organ: 'leaf',
      qualifiers: {},
      credit: 'I. Falk',
      licence: 'CC0 1.0',
      caption: 'sugar maple',
      annotations: [],
    };
    await owner.put(`/api/library/photos/${id}`, { record, baseRevision: await base() });
    const course = (await owner.get<{ id: string }[]>('/api/courses')).body[0]!;
    const view = { organs: ['leaf'], nearness: 'hand', aids: ['eye'], qualifiers: {} };
    const { body: quiz } = await owner.post<{ id: string }>(`/api/courses/${course.id}/quizzes`, {
      title: 'Photos',
      heldOn: '2026-09-20',
      stations: [{ taxonId: sugar, medium: 'photo', view }],
    });
    expect((await owner.post(`/api/quizzes/${quiz.id}/open`)).status).toBe(200);
    const [frozen] = await hurrow.db.query<{ frozen: { drawing: string; traits: null } }>(
      'select frozen from station where quiz_id = $1',
      [quiz.id],
    );
    expect(frozen!.frozen.drawing).toContain('data:image/webp;base64,');
    expect(frozen!.frozen.drawing).not.toMatch(/maple|Acer|Falk/);
    expect(frozen!.frozen.traits).toBeNull();
  });
});

describe('prints', () => {
  const pdf = async (query: string) => owner.download(`/api/prints/${query}`);
  test.each(['a4', 'letter'])('a profile sheet and name cards are PDF on %s', async (paper) => {
    for (const kind of [`profile.pdf?taxa=${red}`, `cards.pdf?taxa=${red},${sugar}`]) {
      const bytes = (await pdf(`${kind}&paper=${paper}&ink=black&audience=plain&units=imperial`)).toString(
        'latin1',
      );
      expect(bytes.slice(0, 5)).toBe('%PDF-');
      const [, width] = /MediaBox \[0 0 ([\d.]+)/.exec(bytes)!;
      expect(Math.round(Number(width))).toBe(paper === 'a4' ? 595 : 612);
      // Cards come in twos: drawings, then names.
      expect(bytes.match(/\/Type \/Page\b/g)!.length).toBe(kind.startsWith('cards') ? 2 : 1);
    }
  });
  test('a photo goes onto the sheet only with credit and licence', async () => {
    const images = async () =>
      (await pdf(`profile.pdf?taxa=${red}`)).toString('latin1').match(/\/Subtype \/Image/g)?.length ?? 0;
    const { photos } = (
      await owner.get<{ photos: { id: string; record: object }[] }>(`/api/library/taxa/${red}/photos`)
    ).body;
    const withdraw = async (licence: string) => {
      for (const photo of photos)
        await owner.put(`/api/library/photos/${photo.id}`, {
          record: { ...photo.record, credit: 'I. Falk', licence },
          baseRevision: await base(),
        });
    };
    await withdraw('');
    expect(await images()).toBe(0);
    await withdraw('CC BY 4.0');
    expect(await images()).toBeGreaterThan(0);
  });
  test('no species, or one that is not there, is said', async () => {
    expect((await owner.get('/api/prints/profile.pdf?taxa=none')).body.message).toContain('None of these');
    expect((await owner.get('/api/prints/poster.pdf?taxa=x')).status).toBe(422);
  });
});
