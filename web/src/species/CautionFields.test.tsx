import { CAUTION_KINDS, type Caution } from '@hurrow/core/taxon';
import { useState } from 'react';
import { fireEvent, screen, shownOnPage } from '../testing/page.tsx';
import { CautionFields } from './CautionFields.tsx';

/** The fields as an editor has them, with what they come to. */
function fields(begin: Caution[] = []) {
  const now = { cautions: begin };
  function Editor() {
    const [cautions, set] = useState(begin);
    now.cautions = cautions;
    return <CautionFields cautions={cautions} onChange={set} />;
  }
  shownOnPage(<Editor />);
  return now;
}
const add = () => fireEvent.click(screen.getByRole('button', { name: /caution/i }));
const kindOf = (i: number) => screen.getByLabelText(`Kind of caution ${i}`);
const choose = (i: number, kind: string) => fireEvent.change(kindOf(i), { target: { value: kind } });

test('every kind has its usual words, and each care ends by leaving it to others', () => {
  const now = fields();
  add();
  for (const kind of CAUTION_KINDS) {
    choose(1, kind);
    const [caution] = now.cautions;
    expect(caution!.kind).toBe(kind);
    expect(caution!.part.length).toBeGreaterThan(3);
    expect(caution!.effect).toMatch(/\.$/);
    expect(caution!.care).toMatch(/decide|judge|law|physician|poison line/);
  }
});

test('what was written stays when another kind is chosen; what is still usual follows', () => {
  const now = fields();
  add();
  fireEvent.change(screen.getByLabelText('Part, caution 1'), { target: { value: 'the fruit' } });
  choose(1, 'poisonous part');
  expect(now.cautions[0]).toMatchObject({ kind: 'poisonous part', part: 'the fruit' });
  expect(now.cautions[0]!.effect).toMatch(/Poisonous/);
});

test('one of several is taken away, the others stay as they are', () => {
  const caution = (part: string): Caution => ({ kind: 'thorns', part, effect: 'a.', care: 'b.' });
  const now = fields(['twigs', 'leaves', 'fruit'].map(caution));
  fireEvent.click(screen.getByRole('button', { name: 'Remove caution 2' }));
  expect(now.cautions.map(({ part }) => part)).toEqual(['twigs', 'fruit']);
});
