import type { WeekView } from '@dusk-wren/contract/week';
import { stretchesWithin } from './stretches';

const WEEKS = 3;
const WEEK_MINUTES = 7 * 24 * 60;

export interface Loads {
  readonly weeks: readonly string[];
  /** Of the hours that a place is open how much is taken; nothing where it is closed. */
  readonly rows: readonly { readonly place: string; readonly shares: readonly (number | undefined)[] }[];
}

/** How full each place is in the weeks that come, the first from now to its Sunday. */
export function loadsOf({ week, plan, days }: Pick<WeekView, 'week' | 'plan' | 'days'>): Loads {
  const monday = days.find(({ day, midnight }) => midnight > 0 && new Date(day).getUTCDay() === 1);
  const first = monday?.midnight ?? WEEK_MINUTES;
  const weeks = Array.from({ length: WEEKS }, (_, i): readonly [number, number] =>
    i === 0 ? [0, first] : [first + (i - 1) * WEEK_MINUTES, first + i * WEEK_MINUTES],
  );
  return {
    weeks: ['this week', 'next week', 'the one after'],
    rows: week.places.map(({ id, count, open }) => ({
      place: String(id),
      shares: weeks.map(([from, to]) => {
        const there = minutes(stretchesWithin(open, from, to)) * count;
        const taken = plan
          .filter(({ place }) => place === id)
          .reduce(
            (sum, { start, end }) =>
              sum + minutes(stretchesWithin(open, Math.max(from, start), Math.min(to, end))),
            0,
          );
        return there === 0 ? undefined : taken / there;
      }),
    })),
  };
}

const minutes = (stretches: readonly (readonly [number, number])[]): number =>
  stretches.reduce((sum, [from, to]) => sum + to - from, 0);
