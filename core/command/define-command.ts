import { z } from 'zod';
import { ok, refuse, type Result } from '../problem';
import type { Fact, InstrumentId, JobState, ReadBy, Role, StepRef } from '../job';
import { LONGEST_TITLE } from '../job';
import { stepOf, type Plan, type PlannedStep } from '../plan';
import type { Task, TaskOf } from '../task';
import type { Edge } from './edge';

export interface Asked extends Edge {
  readonly state: JobState;
  readonly plan: Plan;
}

interface Definition<K extends string, B extends z.ZodObject> {
  kind: K;
  /** It is a signature: the person's PIN is asked again before the server takes it. */
  signed?: true;
  body: B;
  /** The facts that follow, or why not. Only asked of an open job that is not released. */
  decide: (body: z.output<B>, asked: Asked) => Result<Fact[]>;
}

export function defineCommand<const K extends string, B extends z.ZodObject>(definition: Definition<K, B>) {
  return {
    ...definition,
    schema: z.strictObject({ kind: z.literal(definition.kind), body: definition.body }),
  };
}

/** The step, when it may be worked on now and its task is of such a kind. */
export function readyStep<K extends Task['kind']>(
  asked: Asked,
  id: string,
  ...kinds: K[]
): Result<PlannedStep & { task: TaskOf<K> }> {
  const ready = anyReadyStep(asked, id);
  if (!ready.ok) return ready;
  const step = ready.value;
  return isTask(step, kinds)
    ? ok(step)
    : refuse({ code: 'step.wants', step: step.title, wants: step.task.kind });
}

/** The step, when it may be worked on now. */
export function anyReadyStep(asked: Asked, id: string): Result<PlannedStep> {
  const step = stepOf(asked.plan, id);
  if (!step) return refuse({ code: 'step.unknown', step: id });
  if (step.status === 'done') {
    const by = step.finished?.by.name;
    return refuse({ code: 'step.already-done', step: step.title, ...(by === undefined ? {} : { by }) });
  }
  if (step.status === 'waiting') {
    return refuse({
      code: 'step.waits',
      step: step.title,
      waits: step.waits.map((wait) => (wait.kind === 'step' ? wait.title : wait.part)),
    });
  }
  return ok(step);
}

function isTask<K extends Task['kind']>(
  step: PlannedStep,
  kinds: readonly K[],
): step is PlannedStep & { task: TaskOf<K> } {
  return kinds.some((kind) => kind === step.task.kind);
}

/** A step as an entry names it; a title that a long serial made too long is cut, never refused. */
export function refOf({ id, title, stage }: PlannedStep): StepRef {
  return { id, title: title.length > LONGEST_TITLE ? `${title.slice(0, LONGEST_TITLE - 1)}…` : title, stage };
}

/** The stamp of the instrument behind a reading; `hand` for a figure read by eye. */
export function stampOf(asked: Edge, by: InstrumentId | 'hand'): Result<ReadBy> {
  if (by === 'hand') return ok('hand');
  const stamp = asked.instrument(by);
  return stamp ? ok(stamp) : refuse({ code: 'instrument.unknown', id: by });
}

export function mayOnly(asked: Edge, ...roles: Role[]): Result<true> {
  const { role } = asked.person;
  return roles.includes(role) ? ok(true) : refuse({ code: 'role.not-allowed', role, wanted: roles });
}
