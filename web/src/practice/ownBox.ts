import { ReviewBox } from './reviewBox.ts';

let held: { studentId: string; box: Promise<ReviewBox> } | undefined;

/** The practice of a student on this phone, opened once for all pages that ask. */
export function ownBox(studentId: string): Promise<ReviewBox> {
  if (held?.studentId === studentId) return held.box;
  void held?.box.then((box) => box.close());
  held = { studentId, box: ReviewBox.open(studentId) };
  return held.box;
}

/** Brings onto the phone what is practiced with, before it is asked for: it is there then without a signal. */
export const bringAlong = async (studentId: string): Promise<void> => (await ownBox(studentId)).refresh();
