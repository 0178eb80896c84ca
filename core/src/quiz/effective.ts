import type { Answer } from '../names/index.ts';

/** Who gave a response, as the server knows it: a student's own phone, staff from paper, or staff deciding between answers. */
export type Speaker = 'student' | 'paper' | 'instructor';

/** A stored response, never changed once acknowledged. */
export interface StoredResponse {
  id: string;
  stationId: string;
  studentId: string;
  answer: Answer;
  by: Speaker;
  /** What the sender calls itself; a name and no more. Of papers it tells who typed them. */
  device: string;
  /** Counts up on the device: of several responses of one device the highest counts. */
  sequence: number;
}

export interface EffectiveResponse<R extends StoredResponse = StoredResponse> {
  response: R;
  /** Answers of other devices that say something else: the instructor decides. */
  conflicting: R[];
}

/**
 * Of all responses of one student at one station, the one that counts: the latest of each device; where devices differ, the
 * first device's answer stands and the others are shown as conflicting until the instructor decides. Of two with one number, as two
 * tabs may send them, the one that came later counts.
 *
 * @param responses in the order in which they were received
 */
export function effectiveResponses<R extends StoredResponse>(
  responses: readonly R[],
): EffectiveResponse<R>[] {
  const groups = new Map<string, Map<string, R>>();
  for (const response of responses) {
    const key = `${response.studentId}\u0000${response.stationId}`;
    const devices = groups.get(key) ?? new Map<string, R>();
    const sender = response.by === 'instructor' ? response.by : `${response.by} ${response.device}`;
    const held = devices.get(sender);
    if (!held || response.sequence >= held.sequence) devices.set(sender, response);
    groups.set(key, devices);
  }
  return [...groups.values()].map((devices) => {
    const decided = devices.get('instructor');
    if (decided) return { response: decided, conflicting: [] };
    const [first, ...others] = [...devices.values()];
    return {
      response: first!,
      conflicting: others.filter((other) => !sameAnswer(first!.answer, other.answer)),
    };
  });
}

/** Do two answers say the same? What was left empty says nothing, and how sure one was is no part of it. */
export const sameAnswer = (a: Answer, b: Answer): boolean =>
  JSON.stringify(sorted(a)) === JSON.stringify(sorted(b));

const sorted = ({ seen = {}, wentBy = [], wentByUnread = [], sure: _sure, ...names }: Answer) =>
  [
    ...[...Object.entries(names), ...Object.entries(seen)].filter(([, text]) => text?.trim()),
    ...wentBy.map((id) => ['wentBy', id]),
    ...wentByUnread.map((words) => ['wentBy', words]),
  ].sort();
