import { arriving, invitationAddress } from './arriving.ts';

test('a slip, an invitation, and what an institution did are told apart', () => {
  expect(arriving('#WOODY/ELIO93')).toEqual({ kind: 'slip', course: 'WOODY', personal: 'ELIO93' });
  expect(arriving('')).toEqual({ kind: 'slip', course: '', personal: '' });
  const { hash } = new URL(invitationAddress('https://trees.example.org', 'a-B_9'));
  expect(arriving(hash)).toEqual({ kind: 'invitation', token: 'a-B_9' });
  expect(arriving('#institution-unknown')).toMatchObject({
    kind: 'turnedAway',
    message: expect.stringContaining('Ask the owner'),
  });
});

test('what nobody means is a slip that opens nothing, not an error', () => {
  expect(arriving('#%E0%A4%A')).toMatchObject({ kind: 'slip' });
});
