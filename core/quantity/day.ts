const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** A day as it is said everywhere: `Thu 3 Dec 2026`, without the year where that is the one named. */
export function sayDay(day: string, thisYear?: number): string {
  const date = new Date(`${day.slice(0, 10)}T00:00:00Z`);
  const [year, month] = [date.getUTCFullYear(), MONTHS[date.getUTCMonth()] ?? ''];
  const words = `${WEEKDAYS[date.getUTCDay()] ?? ''} ${date.getUTCDate()} ${month}`;
  return year === thisYear ? words : `${words} ${year}`;
}
