import type { Answer } from '../names/index.ts';

/** A stored response, never changed once acknowledged. */
export interface StoredResponse {
  id: string;
  stationId: string;
  studentId: string;
  answer: Answer;
  device: string;
  /** Counts up on the device: of several responses of one device the highest counts. */
  sequence: number;
}

/** What an instructor decides between devices is stored as a response of this device, which outweighs all others. */
export const INSTRUCTOR_DEVICE = 'instructor';

export interface EffectiveResponse<R extends StoredResponse = StoredResponse> {
  response: R;
  /** Answers of other devices that say something else: the instructor decides. */
  conflicting: R[];
}

/**
 * Of all responses of one student at one station, the one that counts: the latest of each device; where devices differ, the
 * first device's answer stands and the others are shown as conflicting until the instructor decides.
 */
export function effectiveResponses<R extends StoredResponse>(
  responses: readonly R[],
): EffectiveResponse<R>[] {
  const groups = new Map<string, Map<string, R>>();
  for (const response of responses) {
    const key = `${response.studentId}\u0000${response.stationId}`;
    const devices = groups.get(key) ?? new Map<string, R>();
    const held = devices.get(response.device);
    if (!held || response.sequence > held.sequence) devices.set(response.device, response);
    groups.set(key, devices);
  }
  return [...groups.values()].map((devices) => {
    const decided = devices.get(INSTRUCTOR_DEVICE);
    if (decided) return { response: decided, conflicting: [] };
    const [first, ...others] = [...devices.values()];
    const own = JSON.stringify(sorted(first!.answer));
    return {
      response: first!,
      conflicting: others.filter((other) => JSON.stringify(sorted(other.answer)) !== own),
    };
  });
}

const sorted = ({ seen = {}, ...names }: Answer) =>
  [...Object.entries(names), ...Object.entries(seen)].filter(([, text]) => text?.trim()).sort();
