import { STAGES, type JobState, type Scope, type Stage } from '../job';
import { blockedBy, type Blocked } from './blocked';
import { awaitedBy, type Awaited } from './ready-by';
import { plan, stageOf, type Plan, type PlannedStep } from './plan';

/** A job in a line: what lists, the floor and the travel scale show. */
export interface JobSummary {
  readonly state: 'open' | 'released' | 'condemned';
  readonly stage: Stage;
  /** What it is for; absent: an overhaul. */
  readonly scope?: Scope;
  /** Where the pointer stands on the travel scale, 0 to 10. */
  readonly travel: number;
  /** Where the holds are on the scale, and whether they are released. */
  readonly holds: readonly { readonly at: number; readonly released: boolean }[];
  readonly inHand: string;
  readonly blocked?: Blocked;
  readonly remainingMinutes: number;
  /** The last part on order, and the work that can only follow it. */
  readonly awaited?: Awaited;
  readonly withPerson?: { readonly id: string; readonly name: string };
  /** It came out of a file and was not checked here. */
  readonly imported?: true;
}

/** Summary of a job; undefined before it is open. */
export function summarise(state: JobState, known?: Plan): JobSummary | undefined {
  const current = known ?? planned(state);
  if (!current) return undefined;
  const signed = state.records['certificate-signed'].length > 0;
  const stage = stageOf(current);
  const person = state.records['person-assigned'].at(-1)?.body.person;
  const blocked = signed ? undefined : blockedBy(current, state);
  return {
    state: signed ? (current.condemned ? 'condemned' : 'released') : 'open',
    stage,
    ...(current.scope === 'overhaul' ? {} : { scope: current.scope }),
    travel: signed ? STAGES.length : travelOf(current, stage),
    holds: current.steps
      .filter(({ task, kept }) => task.kind === 'hold' && !kept)
      .map((step) => ({ at: placeOf(current, step), released: step.status === 'done' })),
    inHand: signed ? 'Certificate signed' : (current.inHand?.title ?? 'Nothing ready'),
    ...(blocked === undefined ? {} : { blocked }),
    remainingMinutes: current.remainingMinutes,
    ...awaitedBy(current),
    ...(person === undefined ? {} : { withPerson: { id: person.id, name: person.name } }),
    ...(state.records['job-imported'].length > 0 ? { imported: true } : {}),
  };
}

function planned(state: JobState): Plan | undefined {
  const result = plan(state);
  return result.ok ? result.value : undefined;
}

/** Position along the ten stages: the stage, and how much of its own steps is behind. */
function travelOf(current: Plan, stage: Stage): number {
  const own = current.steps.filter((step) => step.stage === stage);
  const done = own.filter(({ status }) => status === 'done').length;
  return STAGES.indexOf(stage) + (own.length === 0 ? 0 : Math.min(0.95, done / own.length));
}

function placeOf(current: Plan, step: PlannedStep): number {
  const own = current.steps.filter(({ stage }) => stage === step.stage);
  return STAGES.indexOf(step.stage) + (own.indexOf(step) + 0.5) / own.length;
}
