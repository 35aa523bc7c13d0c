import { sayDay as wordDay } from '@dusk-wren/core/quantity';

/** `2026-11-24`, by this screen's own calendar. */
export function isoDay(date: Date): string {
  return `${date.getFullYear()}-${String(date.getMonth() + 1).padStart(2, '0')}-${String(date.getDate()).padStart(2, '0')}`;
}

export function addMonths(date: Date, months: number): Date {
  return new Date(date.getFullYear(), date.getMonth() + months, Math.min(date.getDate(), 28));
}

/** `Thu 3 Dec`, with the year when it is another one. */
export const sayDay = (day: string): string => wordDay(day, new Date().getFullYear());

/** `2 h 40`. */
export function sayMinutes(minutes: number): string {
  const hours = Math.floor(minutes / 60);
  const rest = Math.round(minutes % 60);
  return hours === 0
    ? `${rest} min`
    : rest === 0
      ? `${hours} h`
      : `${hours} h ${String(rest).padStart(2, '0')}`;
}

/** `09:42`. */
export function sayTime(moment: string): string {
  return new Date(moment).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
}

/** `09:42`, and the day before it when that is not today. */
export function sayMoment(moment: string): string {
  const day = isoDay(new Date(moment));
  return day === isoDay(new Date()) ? sayTime(moment) : `${sayDay(day)} ${sayTime(moment)}`;
}
