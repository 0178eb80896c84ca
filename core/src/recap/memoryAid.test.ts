import { profiled } from '../testing/taxa.ts';
import { BUILT_IN } from '../vocabulary/index.ts';
import { borneOut } from './index.ts';

const lodgepole = profiled('Pinus', 'contorta', {
  'foliage.kind': 'bundled needles',
  'needle.perBundle': '2',
  'cone.fate': 'opens and persists',
  'cone.armed': 'yes',
  'twig.color': 'only orange',
});
const view = { qualifiers: {} };

test.each([
  ['Two twisted needles.', ['needle.perBundle']],
  ['Three twisted needles.', []],
  ['A small cone with a prickle.', ['cone.armed']],
  ['Its orange twigs shine.', []],
  ['My uncle planted one.', []],
  ['', []],
])('“%s” is borne out by %j', (aid, ids) => expect(borneOut(aid, lodgepole, BUILT_IN, view)).toEqual(ids));
