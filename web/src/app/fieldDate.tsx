import { createContext, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import { dayOfYear, wrapDay, type Arc } from '@hurrow/core/season';

export interface RibbonRow {
  title: string;
  arcs: readonly Arc[];
  color: string;
}

interface FieldDate {
  /** Day of the year that every screen follows. */
  day: number;
  today: number;
  setDay(day: number): void;
  /** Rows that the current screen draws on the ribbon. */
  rows: readonly RibbonRow[];
  setRows(rows: readonly RibbonRow[]): void;
}

const Context = createContext<FieldDate | undefined>(undefined);
const KEPT = 'hurrow.fieldDay';

export function FieldDateProvider({ today, children }: { today: string; children: ReactNode }) {
  const now = dayOfYear(today);
  const [day, setDayState] = useState(() => Number(sessionStorage.getItem(KEPT)) || now);
  const [rows, setRows] = useState<readonly RibbonRow[]>([]);
  const value = useMemo<FieldDate>(
    () => ({
      day,
      today: now,
      setDay: (next) => {
        const wrapped = wrapDay(Math.round(next));
        sessionStorage.setItem(KEPT, String(wrapped));
        setDayState(wrapped);
      },
      rows,
      setRows,
    }),
    [day, now, rows],
  );
  return <Context value={value}>{children}</Context>;
}

export function useFieldDate(): FieldDate {
  const value = useContext(Context);
  if (!value) throw new Error('useFieldDate needs a FieldDateProvider around it');
  return value;
}

/** Draws rows on the ribbon while the calling screen is shown. `rows` must be memoised. */
export function useRibbonRows(rows: readonly RibbonRow[]): void {
  const { setRows } = useFieldDate();
  useEffect(() => {
    setRows(rows);
    return () => setRows([]);
  }, [rows, setRows]);
}
