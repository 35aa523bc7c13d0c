import { toComeView, weekView, type ToComeAsked, type WeekView } from '@dusk-wren/contract/week';
import {
  chanceBy,
  factorFor,
  findingOfWeek,
  jobInWeek,
  type JobOperation,
  type OperationKind,
} from '@dusk-wren/core/schedule';
import type { ConstructionId } from '@dusk-wren/core/valve';
import type { Remote } from 'comlink';
import { call } from '../../api/client';
import type { WeekPlanner } from '../../workers/week.worker';
import { spreadOf } from '../learned';

/** A day, and in how many of a hundred weeks the job is ready by its end. */
export interface PromisedDay {
  /** ISO date. */
  readonly day: string;
  readonly chance: number;
}

export interface CanPromise {
  readonly days: readonly PromisedDay[];
  /** Times that work of these kinds was seen to take: none and nothing is known of chance. */
  readonly seen: number;
}

/** Days with a chance below this are not worth a promise, above the other nothing is gained. */
const [LEAST, MOST] = [0.005, 0.995];
const MOST_DAYS = 8;

/** When a job that nobody has opened yet could be ready: the week as it stands, gone through a thousand times with it. */
export async function canPromise(planner: Remote<WeekPlanner>, asked: ToComeAsked): Promise<CanPromise> {
  const [view, { construction, operations }] = await Promise.all([
    call('/week', weekView),
    call('/week/to-come', toComeView, { method: 'POST', body: asked }),
  ]);
  const factor = (kind: OperationKind) => factorFor(view.learned, construction, kind);
  const job = jobInWeek(
    { id: NEW, hard: false, weight: 1, factor, operations },
    findingOfWeek(view.week),
    view.days,
  );
  const spread = spreadIn(view, construction, operations);
  const ends = await planner.promised(view.week, view.plan, job, spread);
  const seen = operations.reduce((sum, { id }) => sum + (spread[`${NEW} ${id}`]?.length ?? 0), 0);
  return { days: daysOf(view, ends), seen };
}

const NEW = 'to come';

/** How work of every piece came out, by job and operation. */
function spreadIn(
  { jobs, learned }: WeekView,
  construction: ConstructionId,
  operations: readonly JobOperation[],
): Record<string, readonly number[]> {
  const own = operations.map(
    ({ id, kind }) => [`${NEW} ${id}`, spreadOf(learned, construction, kind)] as const,
  );
  const others = jobs.flatMap(({ id, construction: of, kinds }) =>
    Object.entries(kinds).map(
      ([operation, kind]) => [`${id} ${operation}`, spreadOf(learned, of, kind)] as const,
    ),
  );
  return Object.fromEntries([...own, ...others]);
}

/** The chance by the end of each working day on which any week ends. */
export function daysOf(
  { days, week }: Pick<WeekView, 'days' | 'week'>,
  ends: readonly number[],
): PromisedDay[] {
  if (ends.length === 0) return [];
  const open = week.people.flatMap((person) => person.open ?? []);
  const chances = days.flatMap(({ day, midnight }, i): PromisedDay[] => {
    const over = days[i + 1]?.midnight ?? midnight + 24 * 60;
    if (!open.some(([from, to]) => from < over && to > midnight)) return [];
    return [{ day, chance: chanceBy({ ends }, over) }];
  });
  const first = chances.findIndex(({ chance }) => chance > LEAST);
  const last = chances.findIndex(({ chance }) => chance >= MOST);
  if (first < 0) return [];
  return thinned(chances.slice(first, last < 0 ? chances.length : last + 1));
}

/** So few that they are read at a glance: the first, the last, and as even as can be between. */
function thinned(days: readonly PromisedDay[]): PromisedDay[] {
  if (days.length <= MOST_DAYS) return [...days];
  const step = (days.length - 1) / (MOST_DAYS - 1);
  return Array.from({ length: MOST_DAYS }, (_, i) => days[Math.round(i * step)]).filter(
    (day) => day !== undefined,
  );
}

/** The first day by which it is ready in so many of a hundred weeks. */
export const dayBy = (days: readonly PromisedDay[], chance: number): string | undefined =>
  days.find((each) => each.chance >= chance)?.day;
