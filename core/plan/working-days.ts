/** The shop's working day. */
export const SHOP_HOURS = { minutesPerDay: 8 * 60, restDays: [0, 6] } as const;

const DAY = 24 * 60 * 60 * 1000;

/** The moment that so much work from a moment on ends, on working days alone. */
export function addWork(from: Date, minutes: number): Date {
  let day = new Date(from);
  let left = minutes;
  while (isRest(day) || left > SHOP_HOURS.minutesPerDay) {
    if (!isRest(day)) left -= SHOP_HOURS.minutesPerDay;
    day = new Date(day.getTime() + DAY);
  }
  return day;
}

const isRest = (day: Date): boolean => SHOP_HOURS.restDays.some((rest) => rest === day.getUTCDay());

/** A day some working days on, for an order's expected date. */
export function workingDaysFrom(now: string, days: number): string {
  let at = addWork(new Date(now), 1);
  // From a day of rest on the first working day is one already.
  for (let left = isRest(new Date(now)) ? days - 1 : days; left > 0;) {
    at = new Date(at.getTime() + DAY);
    if (!isRest(at)) left -= 1;
  }
  return isoDay(at);
}

/** A day some working days before, for the last day to order. */
export function workingDaysBefore(day: string, days: number): string {
  let at = new Date(`${day}T00:00:00Z`);
  for (let left = days; left > 0;) {
    at = new Date(at.getTime() - DAY);
    if (!isRest(at)) left -= 1;
  }
  return isoDay(at);
}

/** Working days from one day to another; less than zero where that is past. */
export function workingDaysBetween(from: string, to: string): number {
  if (to < from) return -workingDaysBetween(to, from);
  const end = new Date(`${to}T00:00:00Z`);
  let count = 0;
  for (let at = new Date(`${from}T00:00:00Z`); at < end; at = new Date(at.getTime() + DAY))
    if (!isRest(new Date(at.getTime() + DAY))) count += 1;
  return count;
}

export const isoDay = (day: Date): string => day.toISOString().slice(0, 10);
