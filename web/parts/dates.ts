/** `2026-11-24`, by this screen's own calendar. */
export function isoDay(date: Date): string {
  return `${date.getFullYear()}-${String(date.getMonth() + 1).padStart(2, '0')}-${String(date.getDate()).padStart(2, '0')}`;
}

export function addMonths(date: Date, months: number): Date {
  return new Date(date.getFullYear(), date.getMonth() + months, Math.min(date.getDate(), 28));
}

/** `Thu 3 Dec`, with the year when it is another one. */
export function sayDay(day: string): string {
  const date = new Date(`${day.slice(0, 10)}T12:00:00`);
  const sameYear = date.getFullYear() === new Date().getFullYear();
  return date.toLocaleDateString('en-GB', {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    ...(sameYear ? {} : { year: 'numeric' }),
  });
}

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
