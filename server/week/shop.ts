import { WEEK, type WorkHours, type WorkPlace, type WorkPlaceKind } from '@dusk-wren/contract';
import type { HoursView } from '@dusk-wren/contract/week';
import {
  PLACE_KINDS,
  type PlaceKind,
  type Shop,
  type ShopPlace,
  type WeekHours,
  type WorkSkill,
} from '@dusk-wren/core/schedule';
import { dayIn, startOfDay } from '@dusk-wren/core/quantity';

const DAY = 24 * 60;
const MINUTE = 60_000;

/** What the work of a plan calls the places that a lead sets up; the others are no place that work waits for. */
const KIND: Readonly<Record<WorkPlaceKind, PlaceKind | undefined>> = {
  bench: 'bench',
  vice: 'bench',
  lathe: 'lathe',
  'lapping plate': 'lapping',
  rig: 'test rig',
  'pop rig': 'pop rig',
  wash: undefined,
  other: undefined,
};

const minutesOf = (clock: string): number => Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3));

/** Stretches of a day, for each day of the week. */
function weekHours({ days, opens, closes, breakFrom, breakTo }: WorkHours): WeekHours {
  const [from, to] = [minutesOf(opens), minutesOf(closes)];
  const open: [number, number][] =
    breakFrom === undefined || breakTo === undefined
      ? [[from, to]]
      : [
          [from, minutesOf(breakFrom)],
          [minutesOf(breakTo), to],
        ];
  return WEEK.map((day) => (days.includes(day) ? open : []));
}

type Doors = Pick<WorkPlace, 'days' | 'opens' | 'closes'>;

const isOpenThrough = (place: Doors, hours: Doors): boolean =>
  hours.days.every((day) => place.days.includes(day)) &&
  place.opens <= hours.opens &&
  place.closes >= hours.closes;

const minutesOpen = ({ days, opens, closes }: Doors): number =>
  days.length * Math.max(0, minutesOf(closes) - minutesOf(opens));

/**
 * Places of one kind are planned as one, with hours that its units share: those of one of them or of all together,
 * whichever brings the most; a unit that is closed in them is not planned on.
 */
function asOne(kind: PlaceKind, places: readonly WorkPlace[]): ShopPlace[] {
  const together: Doors = {
    days: WEEK.filter((day) => places.every(({ days }) => days.includes(day))),
    opens: places.map(({ opens }) => opens).reduce((a, b) => (a > b ? a : b)),
    closes: places.map(({ closes }) => closes).reduce((a, b) => (a < b ? a : b)),
  };
  const [best] = [together, ...places]
    .map((hours) => {
      const open = places.filter((place) => isOpenThrough(place, hours));
      return { hours, count: open.reduce((sum, { count }) => sum + count, 0) };
    })
    .toSorted((a, b) => b.count * minutesOpen(b.hours) - a.count * minutesOpen(a.hours));
  return best && best.count > 0 ? [{ kind, count: best.count, hours: weekHours(best.hours) }] : [];
}

/** A shop as it was set up, as plans see it. */
export function plannedShop(
  { shop, holidays, people }: HoursView,
  places: readonly WorkPlace[],
  wanting: ReadonlyMap<string, readonly { readonly work: WorkSkill }[]> = new Map(),
): Shop {
  const kinds = new Map<PlaceKind, WorkPlace[]>();
  for (const place of places) {
    const kind = KIND[place.kind];
    if (kind && !place.retired) kinds.set(kind, [...(kinds.get(kind) ?? []), place]);
  }
  return {
    hours: weekHours(shop),
    holidays: holidays.map(({ day }) => day),
    places: PLACE_KINDS.flatMap((kind) => {
      const own = kinds.get(kind);
      return own ? asOne(kind, own) : [];
    }),
    people: people.map(({ id, role, skills, hours, away, extra }) => ({
      id,
      role,
      skills,
      withheld: (wanting.get(id) ?? []).map(({ work }) => work),
      ...(hours && { hours: weekHours(hours) }),
      away: away.flatMap(({ from, to }) => daysFrom(from, to)),
      extra: extra.map(({ day, from, to }) => ({ day, from: minutesOf(from), to: minutesOf(to) })),
    })),
  };
}

const MOST_DAYS_AWAY = 400;

function daysFrom(from: string, to: string): string[] {
  const days: string[] = [];
  for (let day = from; day <= to && days.length < MOST_DAYS_AWAY; day = dayAfter(day, 1)) days.push(day);
  return days;
}

export const dayAfter = (day: string, days: number): string =>
  new Date(Date.parse(`${day}T00:00:00Z`) + days * DAY * MINUTE).toISOString().slice(0, 10);

/** Days from a moment on by the clocks of a zone, each with its midnight in minutes from that moment. */
export function daysOf(from: Date, zone: string, count: number) {
  const today = dayIn(from.toISOString(), zone);
  return Array.from({ length: count }, (_, i) => {
    const day = dayAfter(today, i);
    const weekday = (new Date(`${day}T00:00:00Z`).getUTCDay() + 6) % 7;
    return { day, weekday, midnight: Math.round((startOfDay(day, zone) - from.getTime()) / MINUTE) };
  });
}
