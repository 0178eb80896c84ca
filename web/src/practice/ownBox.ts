import { ReviewBox } from './reviewBox.ts';

/** Milliseconds after which what did not come through is tried again: the network says seldom when it is back. */
const AGAIN = 15_000;

let held: { studentId: string; box: Promise<ReviewBox> } | undefined;

/** The practice of a student on this phone, opened once for all pages that ask. */
export function ownBox(studentId: string): Promise<ReviewBox> {
  if (held?.studentId === studentId) return held.box;
  void held?.box.then((box) => box.close());
  const box = ReviewBox.open(studentId);
  held = { studentId, box };
  const again = () => void box.then((made) => made.again());
  window.setInterval(again, AGAIN);
  window.addEventListener('online', again);
  return box;
}

/** Brings onto the phone what is practiced with, before it is asked for: it is there then without a signal. */
export const bringAlong = async (studentId: string): Promise<void> => (await ownBox(studentId)).refresh();
