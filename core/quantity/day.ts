const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** A day as it is said everywhere: `Thu 3 Dec 2026`, without the year where that is the one named. */
export function sayDay(day: string, thisYear?: number): string {
  const date = new Date(`${day.slice(0, 10)}T00:00:00Z`);
  const [year, month] = [date.getUTCFullYear(), MONTHS[date.getUTCMonth()] ?? ''];
  const words = `${WEEKDAYS[date.getUTCDay()] ?? ''} ${date.getUTCDate()} ${month}`;
  return year === thisYear ? words : `${words} ${year}`;
}

/** Clocks are made once a zone: making one takes longer than reading it a hundred times. */
const clocks = new Map<string, Intl.DateTimeFormat>();

/** Throws a `RangeError` where there is no such zone. */
function clockOf(timeZone: string): Intl.DateTimeFormat {
  const made =
    clocks.get(timeZone) ??
    new Intl.DateTimeFormat('en-GB', {
      ...{ year: 'numeric', month: '2-digit', day: '2-digit', hour: '2-digit', minute: '2-digit' },
      ...{ hourCycle: 'h23', timeZone },
    });
  clocks.set(timeZone, made);
  return made;
}

/** Whether this names a time zone of the IANA database, as `Europe/London`. */
export function isTimeZone(zone: string): boolean {
  try {
    clockOf(zone);
    return true;
  } catch {
    return false;
  }
}

function onClock(moment: string, timeZone: string): { day: string; minute: string } {
  const parts = clockOf(timeZone).formatToParts(new Date(moment));
  const part = (type: Intl.DateTimeFormatPartTypes) => parts.find((each) => each.type === type)?.value ?? '';
  return {
    day: `${part('year')}-${part('month')}-${part('day')}`,
    minute: `${part('hour')}:${part('minute')}`,
  };
}

/** The day that an ISO moment falls on by the clocks of a time zone: `2026-12-03`. */
export const dayIn = (moment: string, timeZone: string): string => onClock(moment, timeZone).day;

/** An ISO moment by the clocks of a time zone: `Thu 3 Dec 2026 07:05`. */
export function minuteIn(moment: string, timeZone: string): string {
  const { day, minute } = onClock(moment, timeZone);
  return `${sayDay(day)} ${minute}`;
}

/** The moment, in milliseconds, at which a day begins by the clocks of a time zone: where they skip midnight, as they go on. */
export function startOfDay(day: string, timeZone: string): number {
  const midnight = Date.parse(`${day}T00:00:00Z`);
  const ahead = (at: number): number => {
    const { day: there, minute } = onClock(new Date(at).toISOString(), timeZone);
    return Date.parse(`${there}T${minute}:00Z`) - at;
  };
  // How far the zone is ahead may differ between the first guess and the midnight that it leads to.
  const near = midnight - ahead(midnight);
  return midnight - ahead(near);
}
