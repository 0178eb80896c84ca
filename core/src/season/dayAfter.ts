/** ISO date so many days after another. */
export const dayAfter = (day: string, days: number): string =>
  new Date(Date.parse(day) + days * 24 * 3600_000).toISOString().slice(0, 10);
