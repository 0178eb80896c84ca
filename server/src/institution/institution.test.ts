import { Caller, OWNER, startHurrow, type TestHurrow } from '../testing/testHurrow.ts';
import { CLIENT, simulatedInstitution } from './simulated.ts';

describe('an institution that vouches', () => {
  const members = [
    { subject: 's1', name: 'Ines', email: OWNER.email, verified: true },
    { subject: 's2', name: 'Not verified', email: OWNER.email, verified: false },
    { subject: 's3', name: 'Nobody’s', email: 'other@example.org', verified: true },
  ];
  let hurrow: TestHurrow;
  let provider: Awaited<ReturnType<typeof simulatedInstitution>>;
  let base: string;
  beforeAll(async () => {
    provider = await simulatedInstitution(members);
    const institution = {
      issuer: provider.issuer,
      client: CLIENT.id,
      secret: CLIENT.secret,
      name: 'Quillan Ridge College',
      here: 'http://localhost',
    };
    hurrow = await startHurrow({ institution });
    base = hurrow.base;
  });
  afterAll(async () => {
    provider.close();
    await hurrow.close();
  });

  /** Goes there and back as a browser would; who is pressed there is told by its name. Resolves with where it ends, and the cookies. */
  async function goThrough(name: string, change: (back: URL) => void = () => undefined, asked?: string) {
    const out = await fetch(`${base}/api/session/institution`, { redirect: 'manual' });
    const page = await (await fetch(out.headers.get('location')!)).text();
    const line = page.split('<li>').find((part) => part.includes(`>${name}</a>`))!;
    const back = new URL(line.match(/href="([^"]+)"/)![1]!.replaceAll('&amp;', '&'));
    change(back);
    const cookie = asked ?? out.headers.get('set-cookie')!.split(';')[0]!;
    const ended = await fetch(`${base}${back.pathname}${back.search}`, {
      redirect: 'manual',
      headers: { cookie },
    });
    const session = ended.headers.getSetCookie().find((set) => set.startsWith('hurrow='));
    return { at: ended.headers.get('location'), session: session?.split(';')[0], back };
  }

  test('whom it vouches for is signed in to the account of the same e-mail, and again by who they are there', async () => {
    expect((await hurrow.caller().get('/api/session')).body).toMatchObject({
      institution: 'Quillan Ridge College',
    });
    const { at, session } = await goThrough('Ines');
    expect(at).toBe('/');
    const said = await (await fetch(`${base}/api/session`, { headers: { cookie: session! } })).json();
    expect(said).toMatchObject({ who: { name: OWNER.name, role: 'owner' } });
    await hurrow.db.query(`update account set email = 'ines.new@example.org'`);
    expect((await goThrough('Ines')).at).toBe('/');
    await hurrow.db.query('update account set email = $1', [OWNER.email]);
  });

  test('an e-mail that it has not verified, and one that nobody has added, open nothing', async () => {
    for (const name of ['Not verified', 'Nobody’s'])
      expect(await goThrough(name)).toMatchObject({ at: '/#institution-unknown', session: undefined });
  });

  test('an answer that was not asked for here, or is used twice, opens nothing', async () => {
    const foreign = await goThrough('Ines', (back) => back.searchParams.set('state', 'x'));
    expect(foreign).toMatchObject({ at: '/#institution-refused', session: undefined });
    expect((await goThrough('Ines', () => undefined, 'nothing=1')).at).toBe('/#institution-refused');
    const { back } = await goThrough('Ines');
    const again = await fetch(`${base}${back.pathname}${back.search}`, { redirect: 'manual' });
    expect(again.headers.get('location')).toBe('/#institution-refused');
  });
});

test('without an institution there is no such way in', async () => {
  const hurrow = await startHurrow();
  expect((await new Caller(hurrow.base).get('/api/session/institution')).status).toBe(404);
  await hurrow.close();
});
