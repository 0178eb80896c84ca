import type { ConfusionData } from '@hurrow/contract/confusions';
import type { SinceTaught } from '@hurrow/core/confusion';
import { useMemo } from 'react';
import { reteachingOf } from './reteaching.ts';
import { useReport } from './useReport.ts';

/** What became of a pair since it was taught again, once the report is there or cannot be had: what its specimens were like changes the verdict. */
export function useSince(
  courseId: string,
  data: ConfusionData,
  a: string,
  b: string,
): SinceTaught | undefined {
  const { report, error } = useReport(courseId, 'now', 'with');
  const known = report !== undefined || error !== null;
  return useMemo(() => (known ? reteachingOf(data, report, a, b) : undefined), [known, data, report, a, b]);
}
