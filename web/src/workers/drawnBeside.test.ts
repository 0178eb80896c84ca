import { DrawnBeside, type Draws } from './drawnBeside.ts';
import { Pictures, type TreeSetting } from './pictures.ts';

const setting = { day: 280 } as TreeSetting;
const tree = { taxon: {} } as Parameters<Draws['tree']>[0];
const traits = {
  seed: 1,
  values: { 'bud.shape': 'ovoid' },
  leafy: false,
  buds: true,
  autumn: false,
  flowers: false,
  fruit: false,
};

/** A worker that tells what it was asked, and can be broken. */
function fake(draw: () => Promise<string>) {
  const asked: string[] = [];
  let breakIt: () => void = () => undefined;
  const beside = new DrawnBeside((broken) => {
    breakIt = broken;
    return {
      read: () => void asked.push('read'),
      tree: () => (asked.push('tree'), draw()),
      specimen: () => (asked.push('specimen'), draw()),
    };
  });
  return { beside, asked, breakIt: () => breakIt() };
}

test('the characters are sent once, and again when they have changed', async () => {
  const { beside, asked } = fake(() => Promise.resolve('<svg/>'));
  const [before, after] = [new Map(), new Map()];
  expect(await beside.tree(before, tree, setting, 'ash')).toBe('<svg/>');
  await beside.tree(before, tree, setting, 'ash');
  await beside.tree(after, tree, setting, 'ash');
  expect(asked).toEqual(['read', 'tree', 'tree', 'read', 'tree']);
});

test('where the worker cannot be had, the page draws what was asked before and after', async () => {
  const { beside, asked, breakIt } = fake(() => new Promise(() => undefined));
  const frame = { width: 200, height: 150 };
  const waits = beside.specimen(traits, ['twig', 'bud'], frame, 'Specimen 1');
  breakIt();
  const drawn = new Pictures().specimen(traits, ['twig', 'bud'], frame, 'Specimen 1');
  expect(drawn).toContain('<svg');
  expect(await waits).toBe(drawn);
  expect(await beside.specimen(traits, ['twig', 'bud'], frame, 'Specimen 1')).toBe(drawn);
  expect(asked).toEqual(['specimen']);
});

test('what a worker cannot draw is said, not drawn on the page', async () => {
  const { beside } = fake(() => Promise.reject(new Error('no such part')));
  await expect(beside.specimen(traits, ['bud'], { width: 9, height: 9 }, '')).rejects.toThrow('no such part');
});
