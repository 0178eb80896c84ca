import { t } from '@lingui/core/macro';
import type { ProblemAnswer } from '@hurrow/contract/problem';
import { download } from '../app/download.ts';
import { inSpoken } from '../language/ofServer.ts';

/**
 * Asks the server for a sheet as PDF and hands it to the browser to be kept or printed.
 * @returns what went wrong, in words for the user; undefined where nothing did.
 */
export async function printSheet(
  kind: 'contrast' | 'key' | 'marks',
  body: object,
  courseId: string | undefined,
): Promise<string | undefined> {
  const answer = await fetch(`/api/prints/${kind}.pdf`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', 'x-hurrow': '1' },
    body: JSON.stringify({ ...body, course: courseId ?? '-' }),
  }).catch(() => undefined);
  if (!answer) return t`No connection to the server. Try again when you are back online.`;
  if (!answer.ok) {
    const message = t`The sheet could not be made.`;
    return inSpoken({ message, ...((await answer.json().catch(() => ({}))) as Partial<ProblemAnswer>) });
  }
  download(`${kind}.pdf`, await answer.blob());
  return undefined;
}
