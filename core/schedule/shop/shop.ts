import type { Role } from '../../job';
import { weekFile, type Id, type Week } from '../week';
import { findingIn, jobInWeek, type Finding, type ShopDay, type ShopJob } from './job-in-week';
import { PLACE_KINDS, WORK_SKILLS, type PlaceKind, type WorkSkill } from './job-operations';

/** Stretches of a day, in minutes after midnight by the shop's clocks; Monday first, a week of them. */
export type WeekHours = readonly (readonly (readonly [number, number])[])[];

/** One that is told by its weekday what hours it has. */
export interface OpenDay extends ShopDay {
  /** 0 is Monday. */
  readonly weekday: number;
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
  /** Work that they are not planned for yet: what the shop asks for it is wanting. */
  readonly withheld?: readonly WorkSkill[];
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

/** When doors are open on these days; a stretch that is over already is left out. */
export function openOn(
  days: readonly OpenDay[],
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
export function workSkillsOf({
  role,
  skills,
  withheld = [],
}: Pick<ShopPerson, 'role' | 'skills' | 'withheld'>): WorkSkill[] {
  const has = (skill: keyof typeof NOTED) => skills.some((noted) => NOTED[skill].test(noted));
  const noted: readonly WorkSkill[] = [
    ...(role === 'technician' || has('bench') ? (['bench'] as const) : []),
    ...SPECIAL.filter(has),
    ...(role === 'technician' ? [] : (['inspector'] as const)),
  ];
  return noted.filter((skill) => !withheld.includes(skill));
}

/** What jobs ask for and a shop has not set up. */
export interface Gaps {
  /** Planned as if there were always one free. */
  readonly places: readonly PlaceKind[];
  /** Planned as if whoever works at a bench could. */
  readonly skills: readonly WorkSkill[];
}

const findingOf = ({ places, people }: Pick<Shop, 'places' | 'people'>): Finding =>
  findingIn({
    places: new Set(places.map(({ kind }) => kind)),
    skills: new Set(people.flatMap(workSkillsOf)),
    people: new Set(people.map(({ id }) => id)),
  });

/** The same of a week that was made of one. */
export const findingOfWeek = ({ places, people }: Pick<Week, 'places' | 'people'>): Finding =>
  findingIn({
    places: new Set(places.map(({ id }) => id)),
    skills: new Set(people.flatMap(({ skills }) => skills)),
    people: new Set(people.map(({ id }) => id)),
  });

export function gapsOf(shop: Pick<Shop, 'places' | 'people'>, jobs: readonly ShopJob[]): Gaps {
  const { placeFor, skillFor } = findingOf(shop);
  const asked = jobs.flatMap(({ operations }) => operations.filter(({ done }) => !done));
  return {
    places: PLACE_KINDS.filter((kind) => !placeFor(kind) && asked.some(({ place }) => place === kind)),
    skills: WORK_SKILLS.filter((own) => skillFor(own) !== own && asked.some(({ skill }) => skill === own)),
  };
}

/** A shop and its open jobs as a week, over the days given. */
export function weekOfShop(shop: Shop, jobs: readonly ShopJob[], days: readonly OpenDay[]): Week {
  const holidays = new Set(shop.holidays);
  const finding = findingOf(shop);
  const stays = extraOn(
    days,
    shop.people.flatMap(({ extra }) => extra),
  );
  return weekFile.parse({
    places: shop.places.map(({ kind, count, hours }) => ({
      id: kind,
      count,
      // Who stays longer finds the place open.
      open: [...openOn(days, hours, holidays), ...stays],
    })),
    people: shop.people.map((person) => ({
      id: person.id,
      skills: workSkillsOf(person),
      open: [
        ...openOn(days, person.hours ?? shop.hours, new Set([...holidays, ...person.away])),
        ...extraOn(days, person.extra),
      ],
    })),
    jobs: jobs.map((job) => jobInWeek(job, finding, days)),
  });
}

const extraOn = (days: readonly ShopDay[], extra: readonly ExtraHours[]): [number, number][] =>
  extra.flatMap(({ day, from, to }): [number, number][] => {
    const midnight = days.find((each) => each.day === day)?.midnight;
    return midnight === undefined || midnight + to <= 0
      ? []
      : [[Math.max(0, midnight + from), midnight + to]];
  });
