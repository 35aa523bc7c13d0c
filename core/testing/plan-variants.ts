import fc from 'fast-check';
import { record } from '../command';
import { findingSchema } from '../inspection';
import { commandId, type Fact, type JobState } from '../job';
import { seedFrom } from '../simulation';
import { plan, type Plan, type PlannedStep } from '../plan';
import { must } from '../problem';
import { placesOf, scopesOf } from '../procedure';
import { psig } from '../quantity';
import { CONSTRUCTION_IDS, defaultValve, type Valve } from '../valve';
import { anyFeatures } from './any-features';
import { BenchJob, DIAL, id, TECHNICIAN } from './bench';

export interface PlanVariant {
  readonly name: string;
  readonly state: JobState;
  readonly plan: Plan;
}

const RANDOM_VALVES = 60;
const SEED = 20261126;
const DEPTHS = [0.001, 0.006, 0.03];
const stamp = { commandId: commandId.parse(id(1)), by: TECHNICIAN, at: '2026-11-24T08:00:00.000Z' };

/**
 * Plans that between them show what the fragments do: every construction in its line and bare, with something found on
 * every look, opened again after its seat test, each job that a rotary valve can be in for, and random valves of features that may stand together.
 */
export function planVariants(): PlanVariant[] {
  const states = CONSTRUCTION_IDS.flatMap((construction): [string, JobState][] => {
    const valve = defaultValve(construction);
    const again = openedAgain(valve);
    return [
      [`${construction}, in line`, new BenchJob(valve).state],
      [`${construction}, bare`, new BenchJob(valve, { place: 'bare' }).state],
      [`${construction}, bare, finding 1 on every look`, found(valve, 1)],
      [`${construction}, bare, finding 2 on every look`, found(valve, 2)],
      ...(again ? [[`${construction}, bare, opened again`, again] satisfies [string, JobState]] : []),
    ];
  });
  const rotary = defaultValve('control-rotary-eccentric');
  const cut = scopesOf(rotary.features).map((scope): [string, JobState] => [
    `${rotary.construction}, ${scope}`,
    new BenchJob(rotary, { place: placesOf(rotary.features, scope)[0] ?? 'bare', scope }).state,
  ]);
  const random = fc.sample(anyFeatures, { seed: SEED, numRuns: RANDOM_VALVES });
  return [
    ...states,
    ...cut,
    ...random.map((features, i): [string, JobState] => [
      `random valve ${i + 1}`,
      new BenchJob({ ...defaultValve(), ratedPressure: psig(5000), features }).state,
    ]),
  ].map(([name, state]) => ({ name, state, plan: planOf(state) }));
}

/** Bare on the bench, a minute over its allowance on the seat test; undefined where no seat is proved with pressure. */
function openedAgain(valve: Valve): JobState | undefined {
  const job = new BenchJob(valve, { place: 'bare' });
  const seat = job.plan().steps.find(({ task }) => task.kind === 'pressure-test' && task.test === 'seat');
  if (seat?.task.kind !== 'pressure-test') return undefined;
  const { pressure, hold, allowed } = seat.task;
  return job.workTo(seat.id).send({
    kind: 'run-pressure-test',
    body: {
      step: seat.id,
      pressure,
      hold,
      leak: { ...allowed, perMinute: allowed.perMinute + 50 },
      readBy: DIAL,
    },
  }).state;
}

export function planOf(state: JobState): Plan {
  const current = must(plan(state));
  if (!current) throw new Error('the job is not open');
  return current;
}

/** The valve bare on the bench, with something found at every look of its plan, whatever their order. */
export function found(valve: Valve, choice: number): JobState {
  const { state } = new BenchJob(valve, { place: 'bare' });
  const facts = [...planOf(state).steps]
    .sort((a, b) => a.id.localeCompare(b.id))
    .flatMap((step) => findingFor(step, choice + seedFrom(step.id)));
  return must(record(state, facts, stamp)).state;
}

/** What somebody finds at a look, chosen by number: one fact, or none where the step is no look. */
export function findingFor({ task, id: step, title, stage }: PlannedStep, choice: number): Fact[] {
  if (task.kind !== 'look') return [];
  const picked = task.choices[choice % task.choices.length];
  if (!picked) return [];
  const depth = { dimension: 'length', value: DEPTHS[choice % DEPTHS.length], unit: 'in' };
  const finding = findingSchema.parse({ ...picked.finding, ...(picked.asksDepth ? { depth } : {}) });
  return [{ kind: 'finding-made', body: { step: { id: step, title, stage }, part: task.part, finding } }];
}
