import type { Role } from '../../job';
import type { JobOperation, OperationKind, PlaceKind, WorkSkill } from './job-operations';
import { DAY } from '../score';
import { weekFile, type Id, type Week } from '../week';

/** Stretches of a day, in minutes after midnight by the shop's clocks; Monday first, a week of them. */
export type WeekHours = readonly (readonly (readonly [number, number])[])[];

/** A day by the shop's clocks, as whoever knows the clocks gives it. */
export interface ShopDay {
  /** ISO date. */
  readonly day: string;
  /** 0 is Monday. */
  readonly weekday: number;
  /** Its midnight, in minutes from now. */
  readonly midnight: number;
}

export interface ShopPlace {
  readonly kind: PlaceKind;
  readonly count: number;
}

export interface ShopPerson {
  readonly id: Id;
  readonly role: Role;
  /** What else they can do, as it is noted of them. */
  readonly skills: readonly string[];
  /** Their own hours, where they are not the shop's. */
  readonly hours?: WeekHours;
  /** ISO dates on which they are away. */
  readonly away: readonly string[];
}

export interface Shop {
  readonly hours: WeekHours;
  /** ISO dates on which nobody works. */
  readonly holidays: readonly string[];
  readonly places: readonly ShopPlace[];
  readonly people: readonly ShopPerson[];
}

/** A job that is open, with what is left of it. */
export interface ShopJob {
  readonly id: Id;
  /** ISO date by which it is wanted: by the end of that day. */
  readonly due?: string;
  readonly hard: boolean;
  readonly weight: number;
  /** Done over planned of this kind of work on such a valve, as it came out; 1 where too little is known. */
  readonly factor: (kind: OperationKind) => number;
  readonly operations: readonly JobOperation[];
}

/** Days after which a part on order is counted on where nobody said a day. */
const UNSAID_DAYS = 5;

/** When doors are open on these days; a stretch that is over already is left out. */
export function openOn(
  days: readonly ShopDay[],
  hours: WeekHours,
  off: ReadonlySet<string>,
): [number, number][] {
  return days.flatMap(({ day, weekday, midnight }) =>
    off.has(day)
      ? []
      : (hours[weekday] ?? []).flatMap(([from, to]): [number, number][] =>
          midnight + to <= 0 ? [] : [[Math.max(0, midnight + from), midnight + to]],
        ),
  );
}

/** What each may do: whoever works at a bench, what they are noted for, and who releases holds. */
export function skillsOf({ role, skills }: Pick<ShopPerson, 'role' | 'skills'>): WorkSkill[] {
  const noted = new Set(skills.map((skill) => skill.trim().toLowerCase()));
  const own = (['lathe', 'relief', 'field'] as const).filter((skill) => noted.has(skill));
  return [
    ...(role === 'inspector' ? [] : (['bench'] as const)),
    ...own,
    ...(role === 'technician' ? [] : (['inspector'] as const)),
  ];
}

/** A shop and its open jobs as a week, over the days given. */
export function weekOfShop(shop: Shop, jobs: readonly ShopJob[], days: readonly ShopDay[]): Week {
  const holidays = new Set(shop.holidays);
  const midnightOf = new Map(days.map(({ day, midnight }) => [day, midnight]));
  const there = new Set(shop.people.map(({ id }) => id));
  return weekFile.parse({
    places: shop.places.map(({ kind, count }) => ({
      id: kind,
      count,
      open: openOn(days, shop.hours, holidays),
    })),
    people: shop.people.map((person) => ({
      id: person.id,
      skills: skillsOf(person),
      open: openOn(days, person.hours ?? shop.hours, new Set([...holidays, ...person.away])),
    })),
    jobs: jobs.map(({ id, due, hard, weight, factor, operations }) => {
      const last = due === undefined ? undefined : (midnightOf.get(due) ?? dayFrom(days, due));
      return {
        id,
        ...(last === undefined ? {} : { due: last + DAY }),
        hard,
        weight,
        operations: operations.map((operation) => ({
          id: operation.id,
          minutes:
            operation.kind === 'part'
              ? Math.max(
                  0,
                  operation.until === undefined ? UNSAID_DAYS * DAY : dayFrom(days, operation.until),
                )
              : Math.round(
                  operation.minutes * (operation.kind === 'threadlocker' ? 1 : factor(operation.kind)),
                ),
          after: operation.after,
          done: operation.done,
          ...(operation.place === undefined ? {} : { place: operation.place }),
          ...(operation.begunBy !== undefined && there.has(operation.begunBy)
            ? { person: operation.begunBy }
            : operation.skill === undefined
              ? {}
              : { skill: operation.skill }),
        })),
      };
    }),
  });
}

/** Midnight of a day that may lie outside of those given: by whole days from the first. */
function dayFrom(days: readonly ShopDay[], day: string): number {
  const known = days.find((each) => each.day === day);
  if (known) return known.midnight;
  const [first] = days;
  if (!first) return 0;
  return first.midnight + Math.round((Date.parse(day) - Date.parse(first.day)) / 60_000);
}
