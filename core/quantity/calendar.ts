const DAY = 24 * 60 * 60 * 1000;
const at = (day: string): number => Date.parse(`${day}T00:00:00Z`);
const iso = (moment: number): string => new Date(moment).toISOString().slice(0, 10);

/** Days from one day to another, both `2026-12-03`; negative backwards. */
export const daysBetween = (from: string, to: string): number => Math.round((at(to) - at(from)) / DAY);

export const daysAfter = (day: string, days: number): string => iso(at(day) + Math.round(days) * DAY);

/** The same day so many months on, or the last of a shorter month. */
export function monthsAfter(day: string, months: number): string {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  const last = new Date(Date.UTC(year, month + months, 0)).getUTCDate();
  return iso(Date.UTC(year, month - 1 + months, Math.min(date, last)));
}

/** Days of a month, in the mean. */
const MONTH = 365.25 / 12;

/** Months between two days, to the nearest. */
export const monthsBetween = (from: string, to: string): number => Math.round(daysBetween(from, to) / MONTH);
