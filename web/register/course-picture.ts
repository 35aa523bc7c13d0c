import { sensLine } from '@dusk-wren/core/analysis';
import type { StandingCall } from '@dusk-wren/core/calls';
import type { Course } from '@dusk-wren/core/job';
import { meetsOf, wornOf, type Meets } from '@dusk-wren/core/life';
import { daysBetween, valueIn, type Quantity } from '@dusk-wren/core/quantity';
import { COMMON_PRACTICE } from '@dusk-wren/core/standards';
import type { PartRole } from '@dusk-wren/core/valve';

/** A measure along the years: how it was found and left, where its line goes, and its limit. */
export interface CoursePicture {
  /** Days since the first point. */
  readonly dots: readonly { readonly x: number; readonly y: number; readonly is: 'found' | 'left' }[];
  /** The line and its band, each from the first point to the end that is drawn. */
  readonly lines: readonly (readonly [from: Point, to: Point])[];
  readonly limit: number;
  /** What is drawn: days, and amounts in the unit of the limit. */
  readonly to: number;
  readonly low: number;
  readonly high: number;
}
type Point = readonly [x: number, y: number];

/** How far past the last point is drawn where no date is said. */
const AHEAD = 1.2;

/** How a measure is drawn; undefined where nothing of it was read. */
export function pictureOf(course: Course): CoursePicture | undefined {
  const begun = course.points.find(({ found, left }) => found ?? left)?.at;
  if (begun === undefined) return undefined;
  const amount = (value: Quantity) => valueIn(value, course.limit.unit);
  const dots = course.points.flatMap(({ at, found, left }) => {
    const x = daysBetween(begun, at);
    return [
      ...(found ? [{ x, y: amount(found), is: 'found' as const }] : []),
      ...(left ? [{ x, y: amount(left), is: 'left' as const }] : []),
    ];
  });
  const newest = Math.max(...dots.map(({ x }) => x));
  const meets = meetsOf(course);
  const to = Math.max(AHEAD * newest, meets.kind === 'date' ? daysBetween(begun, meets.at) : 0, 30);
  const limit = course.limit.value;
  const lines = course.kind === 'used up' ? bandOf(course, begun, to) : [];
  const amounts = [...dots.map(({ y }) => y), limit, 0];
  return { dots, lines, limit, to, low: Math.min(...amounts), high: Math.max(...amounts) };
}

/** The line of what wears, drawn through what is left now: what was machined off lies behind it. */
function bandOf(course: Course, begun: string, to: number): CoursePicture['lines'] {
  const { worn, machined } = wornOf(course);
  const line = sensLine(worn.map(({ at, value }) => ({ x: daysBetween(begun, at), y: value })));
  if (!line || worn.length < 3) return [];
  return [line, line.low, line.high].map(({ slope, intercept }) => [
    [0, intercept + machined],
    [to, intercept + machined + slope * to],
  ]);
}

/** What goes towards its limit, the soonest first, and what stands or was read too seldom to say. */
export function sorted(courses: readonly Course[]): {
  readonly going: readonly Course[];
  readonly standing: readonly Course[];
} {
  const told = courses
    .filter(({ points }) => points.length > 0)
    .map((course) => ({ course, meets: meetsOf(course) }));
  const at = ({ meets }: (typeof told)[number]) =>
    meets.kind === 'date' ? meets.early : meets.kind === 'over limit' ? '' : undefined;
  return {
    going: told
      .filter((each) => at(each) !== undefined)
      .toSorted((a, b) => (at(a) ?? '').localeCompare(at(b) ?? ''))
      .map(({ course }) => course),
    standing: told.filter((each) => at(each) === undefined).map(({ course }) => course),
  };
}

const SOON_DAYS = 365;

/** How used up a part is, as the section shows it: over its limit, there within a year, or with time to go. */
export function wearCalls(courses: readonly Course[], today: string): ReadonlyMap<PartRole, StandingCall> {
  const worst = new Map<PartRole, StandingCall>();
  for (const course of courses) {
    const { part, what, limit, points } = course;
    const found = points.at(-1)?.left ?? points.at(-1)?.found;
    if (!part || !found) continue;
    const verdict = verdictOf(meetsOf(course), today);
    const before = worst.get(part);
    if (before && RANK[before.verdict] >= RANK[verdict]) continue;
    const reason = { code: 'measured', what, found, limit } as const;
    worst.set(part, { part, verdict, reason, source: COMMON_PRACTICE, because: [] });
  }
  return worst;
}

type Wear = 'fit' | 'rework' | 'renew';
const RANK: Readonly<Record<StandingCall['verdict'], number>> = {
  fit: 0,
  rework: 1,
  renew: 2,
  ask: 0,
  condemn: 3,
};

export function verdictOf(meets: Meets, today: string): Wear {
  if (meets.kind === 'over limit') return 'renew';
  return meets.kind === 'date' && daysBetween(today, meets.early) < SOON_DAYS ? 'rework' : 'fit';
}

/** When it meets its limit, in words; days as the reader says them. */
export function meetsWords(meets: Meets, say: (day: string) => string): string {
  switch (meets.kind) {
    case 'date': {
      const late = typeof meets.late === 'object' ? say(meets.late.day) : 'none in sight';
      return `meets it ${say(meets.at)}, at the earliest ${say(meets.early)}, at the latest ${late}`;
    }
    case 'over limit':
      return 'is over its limit';
    case 'not in sight':
      return 'does not go towards its limit';
    case 'beyond':
      return 'is so far from it that no date is said';
    case 'too few':
      return 'was read too seldom for a date: three jobs make one';
  }
}
