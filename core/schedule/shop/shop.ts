import type { Role } from '../../job';
import {
  PLACE_KINDS,
  WORK_SKILLS,
  type JobOperation,
  type OperationKind,
  type PlaceKind,
  type WorkSkill,
} from './job-operations';
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
  readonly hours: WeekHours;
}

/** Hours that somebody stays for beyond their own: minutes after midnight. */
export interface ExtraHours {
  /** ISO date. */
  readonly day: string;
  readonly from: number;
  readonly to: number;
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
  readonly extra: readonly ExtraHours[];
}

export interface Shop {
  /** Those of whoever has none of their own. */
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

/** What people are noted for, in the words that they are noted in. */
const NOTED = {
  bench: /\bbench/i,
  lathe: /\b(lathe|machin|turn)/i,
  relief: /\brelief/i,
  field: /\b(field|in.line)/i,
} as const;
const SPECIAL = ['lathe', 'relief', 'field'] as const satisfies readonly WorkSkill[];

/**
 * What each may do: technicians work at a bench, inspectors and leads release holds, which nobody does on work of their
 * own: so that a lead works at a bench only where that is noted of them.
 */
export function skillsOf({ role, skills }: Pick<ShopPerson, 'role' | 'skills'>): WorkSkill[] {
  const has = (skill: keyof typeof NOTED) => skills.some((noted) => NOTED[skill].test(noted));
  return [
    ...(role === 'technician' || has('bench') ? (['bench'] as const) : []),
    ...SPECIAL.filter(has),
    ...(role === 'technician' ? [] : (['inspector'] as const)),
  ];
}

/** Where work goes that has no place of its own here; what has no such either is planned without one. */
const STANDS_IN: Partial<Record<PlaceKind, PlaceKind>> = { lapping: 'bench', 'pop rig': 'test rig' };

/** What jobs ask for and a shop has not set up. */
export interface Gaps {
  /** Planned as if there were always one free. */
  readonly places: readonly PlaceKind[];
  /** Planned as if whoever works at a bench could. */
  readonly skills: readonly WorkSkill[];
}

/** A shop as work finds it: where each kind is done, and whom it asks. */
function finding({ places, people }: Pick<Shop, 'places' | 'people'>) {
  const there = new Set(places.map(({ kind }) => kind));
  const able = new Set(people.flatMap(skillsOf));
  return {
    placeFor: (kind: PlaceKind): PlaceKind | undefined => {
      const other = STANDS_IN[kind];
      return there.has(kind) ? kind : other !== undefined && there.has(other) ? other : undefined;
    },
    // Who strips and who releases is asked always: without one of them there is no plan.
    skillFor: (skill: WorkSkill): WorkSkill => (skill === 'inspector' || able.has(skill) ? skill : 'bench'),
  };
}

export function gapsOf(shop: Pick<Shop, 'places' | 'people'>, jobs: readonly ShopJob[]): Gaps {
  const { placeFor, skillFor } = finding(shop);
  const asked = jobs.flatMap(({ operations }) => operations.filter(({ done }) => !done));
  return {
    places: PLACE_KINDS.filter((kind) => !placeFor(kind) && asked.some(({ place }) => place === kind)),
    skills: WORK_SKILLS.filter((own) => skillFor(own) !== own && asked.some(({ skill }) => skill === own)),
  };
}

/** A shop and its open jobs as a week, over the days given. */
export function weekOfShop(shop: Shop, jobs: readonly ShopJob[], days: readonly ShopDay[]): Week {
  const holidays = new Set(shop.holidays);
  const { placeFor, skillFor } = finding(shop);
  const stays = extraOn(
    days,
    shop.people.flatMap(({ extra }) => extra),
  );
  const midnightOf = new Map(days.map(({ day, midnight }) => [day, midnight]));
  const there = new Set(shop.people.map(({ id }) => id));
  return weekFile.parse({
    places: shop.places.map(({ kind, count, hours }) => ({
      id: kind,
      count,
      // Who stays longer finds the place open.
      open: [...openOn(days, hours, holidays), ...stays],
    })),
    people: shop.people.map((person) => ({
      id: person.id,
      skills: skillsOf(person),
      open: [
        ...openOn(days, person.hours ?? shop.hours, new Set([...holidays, ...person.away])),
        ...extraOn(days, person.extra),
      ],
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
          ...placed(operation.place && placeFor(operation.place)),
          ...(operation.begunBy !== undefined && there.has(operation.begunBy)
            ? { person: operation.begunBy }
            : operation.skill === undefined
              ? {}
              : { skill: skillFor(operation.skill) }),
        })),
      };
    }),
  });
}

const placed = (place: PlaceKind | undefined) => (place === undefined ? {} : { place });

const extraOn = (days: readonly ShopDay[], extra: readonly ExtraHours[]): [number, number][] =>
  extra.flatMap(({ day, from, to }): [number, number][] => {
    const midnight = days.find((each) => each.day === day)?.midnight;
    return midnight === undefined || midnight + to <= 0
      ? []
      : [[Math.max(0, midnight + from), midnight + to]];
  });

/** Midnight of a day that may lie outside of those given: by whole days from the first. */
function dayFrom(days: readonly ShopDay[], day: string): number {
  const known = days.find((each) => each.day === day);
  if (known) return known.midnight;
  const [first] = days;
  if (!first) return 0;
  return first.midnight + Math.round((Date.parse(day) - Date.parse(first.day)) / 60_000);
}
