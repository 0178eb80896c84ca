import { t } from '@lingui/core/macro';
import type { Course } from '@hurrow/contract/courses';
import { DEFAULT_MARKING } from '@hurrow/core/names';

type Preset = Pick<Course, 'audience' | 'units' | 'marking' | 'startsWith' | 'opens' | 'weeks'>;

/** For whom a course is: what it begins with, all of it to be changed. */
export const PRESETS: readonly { title: string; said: string; settings: Preset }[] = [
  {
    title: t`a youth team`,
    said: t`common names from a list, plain words, feet and inches, the leaf first`,
    settings: {
      audience: 'plain',
      units: 'imperial',
      marking: { ...DEFAULT_MARKING, policy: 'common' },
      startsWith: 'leaf',
      opens: ['profiles', 'recap', 'lessons', 'notebook'],
      weeks: 10,
    },
  },
  {
    title: t`a public workshop`,
    said: t`common names, plain words, everything open, four weeks`,
    settings: {
      audience: 'plain',
      units: 'imperial',
      marking: { ...DEFAULT_MARKING, policy: 'common' },
      startsWith: 'leaf',
      opens: ['profiles', 'contrasts', 'keys', 'recap', 'lessons', 'notebook'],
      weeks: 4,
    },
  },
  {
    title: t`climbers and crews`,
    said: t`genus and epithet without the family, plain words, form and bark before the leaf`,
    settings: {
      audience: 'plain',
      units: 'imperial',
      marking: { ...DEFAULT_MARKING, policy: 'binomial' },
      startsWith: 'site',
      opens: ['profiles', 'contrasts', 'recap', 'lessons', 'notebook'],
      weeks: 8,
    },
  },
  {
    title: t`a third-year course`,
    said: t`genus, epithet and family spelled, technical terms, metric, lessons after class`,
    settings: {
      audience: 'technical',
      units: 'metric',
      marking: { ...DEFAULT_MARKING, policy: 'binomialFamily' },
      startsWith: 'leaf',
      opens: ['profiles', 'contrasts', 'keys', 'recap', 'lessons', 'notebook'],
      weeks: 14,
    },
  },
];

/** The same weekday a year on, as a course begins: 52 weeks later. `nextYear('2026-08-31')` is `2027-08-30`. */
export function nextYear(startsOn: string): string {
  const day = new Date(`${startsOn}T00:00:00Z`);
  day.setUTCDate(day.getUTCDate() + 52 * 7);
  return day.toISOString().slice(0, 10);
}
