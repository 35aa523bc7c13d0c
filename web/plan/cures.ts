import type { WeekView } from '@dusk-wren/contract/week';
import type { Change, Cure, Means } from '@dusk-wren/core/schedule';
import { minuteIn } from '@dusk-wren/core/quantity';
import { sayMinutes } from '../parts/dates';
import { sayKind } from '@dusk-wren/contract/planned';
import { sayAt, sayDayAt } from './words';

const DAY = 24 * 60;
/** Evenings that are tried, and how long somebody stays on one. */
const EVENINGS = 5;
const EVENING_MINUTES = 150;
/** Without a price of their own, cures are weighed by the minutes that people stay. */
const MINUTES_AN_HOUR = 60;

/** What can be done about a late job: the next evenings of everybody who works, and the parts that are waited for. */
export function meansOf({ week, days, jobs }: WeekView): Means {
  const evenings = week.people.flatMap(({ id, open }) =>
    days
      .flatMap(({ midnight }) => {
        const ends = (open ?? []).map(([, to]) => to).filter((to) => to > midnight && to <= midnight + DAY);
        return ends.length === 0 ? [] : [Math.max(...ends)];
      })
      .slice(0, EVENINGS)
      .map((from) => ({ person: id, from, to: from + EVENING_MINUTES })),
  );
  const parts = jobs.flatMap(({ id, kinds }) =>
    Object.entries(kinds).flatMap(([operation, kind]) =>
      kind === 'part' ? [{ job: id, id: operation }] : [],
    ),
  );
  return { evenings, parts, rate: MINUTES_AN_HOUR };
}

type Named = Pick<WeekView, 'from' | 'zone' | 'jobs' | 'people'>;
const tagOf = ({ jobs }: Named, job: string | number) =>
  jobs.find(({ id }) => id === job)?.tag ?? String(job);
const nameOf = ({ people }: Named, person: string | number) =>
  people.find(({ id }) => id === person)?.name ?? String(person);

/** `Ines Okoro stays Tue 1 Dec, 15:30 to 18:00`. */
export function sayCure(view: Named, change: Change): string {
  switch (change.kind) {
    case 'overtime':
      return `${nameOf(view, change.person)} stays ${sayDayAt(view, change.from)}, ${clockAt(view, change.from)} to ${clockAt(view, change.to)}`;
    case 'second shift': {
      const [[first] = [0], last] = [change.evenings[0], change.evenings.at(-1)];
      return `a second shift of the ${change.place}: ${nameOf(view, change.person)} on ${change.evenings.length} evenings, ${sayDayAt(view, first)} to ${sayDayAt(view, last?.[0] ?? first)}, ${clockAt(view, first)} to ${clockAt(view, change.evenings[0]?.[1] ?? first)}`;
    }
    case 'part sooner':
      return `${String(change.id).replace('part: ', 'the ')} comes ${change.days === 1 ? 'a day' : `${change.days} days`} sooner`;
    case 'goes first': {
      const kind =
        view.jobs.find(({ id }) => id === change.job)?.kinds[String(change.id)] ?? String(change.id);
      return `it goes before ${tagOf(view, change.before)}: ${sayKind(kind)} at ${sayAt(view, change.start)}`;
    }
  }
}

/** What comes of it: for the job, and for others. */
export function sayOutcome(view: Named, { lateAfter, made }: Cure): string {
  const own = lateAfter === 0 ? 'then it is on time' : `then it is late by ${sayMinutes(lateAfter)}`;
  const others = made.map(({ job, minutes }) => `${tagOf(view, job)} becomes late by ${sayMinutes(minutes)}`);
  return [own, ...others].join('; ');
}

/** `15:30`, by the shop's clocks. */
export const clockAt = ({ from, zone }: Pick<WeekView, 'from' | 'zone'>, minute: number): string =>
  minuteIn(new Date(Date.parse(from) + minute * 60_000).toISOString(), zone).slice(-5);

/** The day that a minute falls on, as ISO. */
export const dayAt = ({ days }: Pick<WeekView, 'days'>, minute: number): string =>
  days.findLast(({ midnight }) => midnight <= minute)?.day ?? days[0]?.day ?? '';
