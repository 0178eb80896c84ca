import { useQuery } from '@tanstack/react-query';
import { useFieldDate } from '../app/fieldDate.tsx';
import { sessionQuery } from '../app/session.ts';
import { isoNear } from './days.ts';

/** The field date as a day of the calendar: that of the year which is nearest to today. */
export function useFieldDay(): string {
  const { day } = useFieldDate();
  const today = useQuery(sessionQuery).data?.today ?? new Date().toISOString().slice(0, 10);
  return isoNear(day, today);
}
