import type { Instance } from './instance';
import type { Placed } from './placed';

/** What is wanted of a plan, in strict order: less of an earlier one is worth any of a later one. Minutes. */
export interface Score {
  /** Late of jobs whose date nothing moves. */
  readonly hard: number;
  /** Weight times late, of all. */
  readonly late: number;
  /** What it changes of the plan before, as minutes: weighed against being late. */
  readonly moved: number;
  /** Work that stands still over closed hours, and jobs that are touched on a day and not finished on it. */
  readonly pauses: number;
  readonly end: number;
}

/** Below nothing: the first is the better one. */
export const compare = (a: Score, b: Score): number =>
  a.hard - b.hard || a.late + a.moved - b.late - b.moved || a.pauses - b.pauses || a.end - b.end;

export const DAY = 24 * 60;
/** Days of a plan that are told apart where jobs in hand are counted. */
const DAYS = 30;
/** Another person or another place counts as so many minutes moved (handbook part 7, section 2). */
const CHANGE_MINUTES = 120;

/** How late each job is: by its last operation. */
export function lateness({ jobs }: Instance, plan: readonly Placed[]): number[] {
  const end = new Array<number>(jobs.length).fill(-Infinity);
  for (const { task, end: at } of plan) end[task.job.index] = Math.max(end[task.job.index] ?? at, at);
  return jobs.map(({ index, due }) => (due === undefined ? 0 : Math.max(0, (end[index] ?? due) - due)));
}

export function scoreOf(instance: Instance, plan: readonly Placed[]): Score {
  let [hard, late, pauses, end] = [0, 0, 0, 0];
  const moved = movedFrom(instance, plan);
  const touched = new Array<number>(instance.jobs.length).fill(0);
  for (const { task, start, end: ended } of plan) {
    end = Math.max(end, ended);
    if (ended - start > task.minutes) pauses += 1;
    const days = touched[task.job.index] ?? 0;
    touched[task.job.index] = days | dayBit(start) | dayBit(Math.max(start, ended - 1));
  }
  if (!instance.dated) return { hard, late, moved, pauses: 0, end };
  for (const days of touched) pauses += Math.max(0, bits(days) - 1);
  lateness(instance, plan).forEach((minutes, index) => {
    const job = instance.jobs[index];
    if (!job || minutes === 0) return;
    if (job.hard) hard += minutes;
    late += job.weight * minutes;
  });
  return { hard, late, moved, pauses, end };
}

const dayBit = (minute: number) => 1 << Math.min(DAYS, Math.floor(minute / DAY));

function bits(days: number): number {
  let [left, count] = [days, 0];
  for (; left !== 0; left &= left - 1) count++;
  return count;
}

/** What people go by and is planned otherwise now: minutes moved, and so much for another person or place. */
function movedFrom({ stood, firmUntil }: Instance, plan: readonly Placed[]): number {
  if (stood.size === 0) return 0;
  let cost = 0;
  for (const { task, way, start } of plan) {
    const before = stood.get(task);
    if (!before || before.start >= firmUntil) continue;
    cost += Math.abs(start - before.start);
    if (before.place !== way.unit?.id) cost += CHANGE_MINUTES;
    if (before.person !== way.person?.id) cost += CHANGE_MINUTES;
  }
  return cost;
}
