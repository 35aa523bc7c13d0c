import fc from 'fast-check';
import { record } from '../command';
import { findingSchema } from '../inspection';
import { commandId, type Fact, type JobState } from '../job';
import { plan, type Plan, type PlannedStep } from '../plan';
import { must } from '../problem';
import { CONSTRUCTION_IDS, defaultValve, type Valve } from '../valve';
import { anyFeatures } from './any-features';
import { BenchJob, id, TECHNICIAN } from './bench';

export interface PlanVariant {
  readonly name: string;
  readonly plan: Plan;
}

const RANDOM_VALVES = 60;
const SEED = 20261126;
const DEPTHS = [0.001, 0.006, 0.03];
const stamp = { commandId: commandId.parse(id(1)), by: TECHNICIAN, at: '2026-11-24T08:00:00.000Z' };

/**
 * Plans that between them show what the fragments do: every construction in its line and bare, with something found on
 * every look, and random valves of features that may stand together.
 */
export function planVariants(): PlanVariant[] {
  const variants = CONSTRUCTION_IDS.flatMap((construction): PlanVariant[] => {
    const valve = defaultValve(construction);
    return [
      { name: `${construction}, in line`, plan: planOf(new BenchJob(valve).state) },
      { name: `${construction}, bare`, plan: planOf(new BenchJob(valve, { came: 'bare' }).state) },
      ...[1, 2].map((choice) => ({
        name: `${construction}, bare, finding ${choice} on every look`,
        plan: planOf(found(valve, choice)),
      })),
    ];
  });
  const random = fc.sample(anyFeatures, { seed: SEED, numRuns: RANDOM_VALVES });
  return [
    ...variants,
    ...random.map((features, i) => ({
      name: `random valve ${i + 1}`,
      plan: planOf(new BenchJob({ ...defaultValve(), features }).state),
    })),
  ];
}

function planOf(state: JobState): Plan {
  const current = must(plan(state));
  if (!current) throw new Error('the job is not open');
  return current;
}

/** The valve bare on the bench, with the same choice taken at every look of its plan. */
function found(valve: Valve, choice: number): JobState {
  const { state } = new BenchJob(valve, { came: 'bare' });
  const facts = planOf(state).steps.flatMap((step, i) => findingFor(step, choice + i));
  return must(record(state, facts, stamp)).state;
}

function findingFor({ task, id: step, title, stage }: PlannedStep, choice: number): Fact[] {
  if (task.kind !== 'look') return [];
  const picked = task.choices[choice % task.choices.length];
  if (!picked) return [];
  const depth = { dimension: 'length', value: DEPTHS[choice % DEPTHS.length], unit: 'in' };
  const finding = findingSchema.parse({ ...picked.finding, ...(picked.asksDepth ? { depth } : {}) });
  return [{ kind: 'finding-made', body: { step: { id: step, title, stage }, part: task.part, finding } }];
}
