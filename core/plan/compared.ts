import type { StandingCall } from '../calls';
import { fold, type Entry } from '../job';
import { ok, type Result } from '../problem';
import { capital } from '../quantity';
import type { PartRole } from '../valve';
import { plan, type Plan, type PlannedStep } from './plan';

/** What a job would be if its log said something else. */
export interface Compared {
  /** Parts that another call would stand on. */
  readonly calls: readonly { readonly part: PartRole; readonly is: string; readonly would: string }[];
  /** Titles of steps that would be on the plan besides, and of those that would not. */
  readonly more: readonly string[];
  readonly fewer: readonly string[];
  /** Titles of steps that are done and would not be: what was read there would not do. */
  readonly undone: readonly string[];
  /** Titles of open steps that would ask for something else: another limit, another way. */
  readonly other: readonly string[];
}

/** A difference as it is read: from a plan, or as it came over the wire. */
interface Told {
  readonly calls: readonly { readonly part: string; readonly is: string; readonly would: string }[];
  readonly more: readonly string[];
  readonly fewer: readonly string[];
  readonly undone: readonly string[];
  readonly other?: readonly string[];
  /** Readings that would not have been taken, each in its words. */
  readonly refused?: readonly string[];
}

/** What would stand otherwise, a line each, the gravest first. */
export function wordCompared({ calls, undone, refused = [], more, fewer, other = [] }: Told): string[] {
  return [
    ...calls.map(({ part, is, would }) => `${part}: ${would} instead of ${is}`),
    ...(undone.length > 0 ? [`to be done again: ${undone.join(', ')}`] : []),
    ...refused,
    ...more.map((title) => `besides: ${title}`),
    ...fewer.map((title) => `not: ${title}`),
    ...other.map((title) => `otherwise: ${title}`),
  ].map(capital);
}

/** Folds a log and another version of it, and says where the plans differ. */
export function compared(log: readonly Entry[], otherwise: readonly Entry[]): Result<Compared> {
  const asIs = planOf(log);
  if (!asIs.ok) return asIs;
  const asWould = planOf(otherwise);
  if (!asWould.ok) return asWould;
  const [is, would] = [asIs.value, asWould.value];
  if (!is || !would) return ok({ calls: [], more: [], fewer: [], undone: [], other: [] });
  const calls = [...is.calls].flatMap(([part, call]) => {
    const then = would.calls.get(part) ?? call;
    return inWords(then) === inWords(call) ? [] : [{ part, is: inWords(call), would: inWords(then) }];
  });
  return ok({
    calls,
    more: missing(would, is),
    fewer: missing(is, would),
    undone: is.steps
      .filter((step) => step.status === 'done' && isOpen(step, would))
      .map(({ title }) => title),
    other: is.steps.filter((step) => asksOtherwise(step, would)).map(({ title }) => title),
  });
}

const inWords = ({ verdict, method }: StandingCall): string => method ?? verdict;

function planOf(log: readonly Entry[]): Result<Plan | undefined> {
  const state = fold(log);
  return state.ok ? plan(state.value) : state;
}

/** Steps of the one that the other has not. */
function missing(one: Plan, other: Plan): string[] {
  const there = new Set(other.steps.map(({ id }) => id));
  return one.steps.filter(({ id }) => !there.has(id)).map(({ title }) => title);
}

const isOpen = ({ id }: PlannedStep, would: Plan): boolean =>
  would.steps.some((step) => step.id === id && step.status !== 'done');

function asksOtherwise(step: PlannedStep, would: Plan): boolean {
  const then = would.steps.find(({ id }) => id === step.id);
  const asked = ({ task, title, why, caution }: PlannedStep) => JSON.stringify([task, title, why, caution]);
  return then !== undefined && step.status !== 'done' && asked(step) !== asked(then);
}
