import { z } from 'zod';
import { placeOf, STAGES, type JobState, type Place } from '../../job';
import type { Plan, PlannedStep } from '../../plan';
import { closureOf, relieves } from '../../valve';
import { DAY } from '../score';

/** Where work is done, as a shop has it. */
export const PLACE_KINDS = ['bench', 'lathe', 'lapping', 'test rig', 'pop rig'] as const;
export type PlaceKind = (typeof PLACE_KINDS)[number];

/** Who may do it: whoever works at a bench, one who can do this, or who releases holds. */
export const WORK_SKILLS = ['bench', 'lathe', 'relief', 'field', 'inspector'] as const;
export type WorkSkill = (typeof WORK_SKILLS)[number];

/** What an operation is, in the words of a shop. */
export const OPERATION_KINDS = [
  ...STAGES,
  'lathe',
  'lapping',
  'pop',
  'field',
  'hold',
  'part',
  'threadlocker',
] as const;
export type OperationKind = (typeof OPERATION_KINDS)[number];

/** A run of steps at one place by one kind of person, or a wait that holds nobody. */
export const jobOperation = z
  .strictObject({
    /** The same as long as its job's steps stay the same kinds in the same order. */
    id: z.string(),
    kind: z.enum(OPERATION_KINDS),
    /** Minutes of work that are left; of a wait for a part nothing, for it ends on a day. */
    minutes: z.number().min(0),
    place: z.enum(PLACE_KINDS).exactOptional(),
    skill: z.enum(WORK_SKILLS).exactOptional(),
    after: z.array(z.string()).readonly(),
    done: z.boolean(),
    /** Who began it: started work stays with them. */
    begunBy: z.string().exactOptional(),
    /** Of a wait for a part: the day on which it is expected. */
    until: z.iso.date().exactOptional(),
    /** Of one that nobody has ordered yet: working days that it usually takes. */
    leadDays: z.int().min(0).exactOptional(),
    /** Minutes by the clock, between its end and what follows it: what was put together is not handled yet. */
    wait: z.int().positive().exactOptional(),
    /** Steps of the plan, by id. */
    steps: z.array(z.string()).readonly(),
  })
  .readonly();
export type JobOperation = z.output<typeof jobOperation>;

interface Work {
  readonly kind: OperationKind;
  readonly place?: PlaceKind;
  readonly skill: WorkSkill;
}

/** Of threadlocker, until it is handled and until it is loaded or put under pressure (handbook part 7, section 2). */
const HANDLING_MINUTES = 30;
const STRENGTH_MINUTES = DAY;

const LAPPING_TOOLS = ['lapping block', 'lapping handle', 'flat lap', 'cast iron lap'] as const;

/** What kind of work a step is: its tools and its stage say where, the rest who. */
function workOf(step: PlannedStep, place: Place, isRelief: boolean): Work {
  const { stage, task, tools } = step;
  if (task.kind === 'hold') return { kind: 'hold', skill: 'inspector' };
  const isPaper = task.kind === 'sign' || task.kind === 'sign-off';
  if (place === 'in line' && stage !== 'receive' && !isPaper) return { kind: 'field', skill: 'field' };
  if (stage === 'isolate' || step.isolation) return { kind: 'field', skill: 'field' };
  if (stage === 'release' && place !== 'bare' && !isPaper) return { kind: 'field', skill: 'field' };
  if (tools.includes('lathe')) return { kind: 'lathe', place: 'lathe', skill: 'lathe' };
  if (stage === 'repair' && LAPPING_TOOLS.some((tool) => tools.includes(tool)))
    return { kind: 'lapping', place: 'lapping', skill: 'bench' };
  switch (stage) {
    case 'test':
      return isRelief
        ? { kind: 'pop', place: 'pop rig', skill: 'relief' }
        : { kind: 'test', place: 'test rig', skill: 'bench' };
    case 'receive':
    case 'release':
      return { kind: stage, skill: 'bench' };
    default:
      return { kind: stage, place: 'bench', skill: 'bench' };
  }
}

interface Run extends Work {
  readonly id: string;
  readonly steps: PlannedStep[];
}

/**
 * The steps of a job's plan as operations: runs at one place by one kind of person, each behind those whose steps it
 * follows, with waits for parts and for what has to cure between them.
 */
export function operationsOf(plan: Plan, state: JobState): JobOperation[] {
  const runs = runsOf(plan, placeOf(state), relieves(closureOf(plan.valve.features)));
  const runOf = new Map(runs.flatMap((run) => run.steps.map(({ id }) => [id, run.id] as const)));
  const cures = curesOf(runs);
  const operations = runs.flatMap((run): JobOperation[] => {
    const open = run.steps.filter(({ status }) => status !== 'done');
    const begunBy =
      open.length < run.steps.length
        ? run.steps.findLast(({ finished }) => finished)?.finished?.by.id
        : undefined;
    const parts = waitsFor(run, plan.steps);
    const before = run.steps.flatMap(({ after }) => after.flatMap((id) => runOf.get(id) ?? []));
    const after = new Set([...before.filter((id) => id !== run.id), ...parts.map(({ id }) => id)]);
    if (isUnderLoad(run)) for (const cure of cures) if (isBehind(cure, run, runs)) after.add(cure.id);
    return [
      ...parts,
      {
        id: run.id,
        kind: run.kind,
        minutes: open.reduce((sum, { minutes }) => sum + minutes, 0),
        ...(run.place && { place: run.place }),
        skill: run.skill,
        after: [...after],
        done: open.length === 0,
        ...(begunBy !== undefined && open.length > 0 ? { begunBy } : {}),
        ...(isLocked(run) ? { wait: HANDLING_MINUTES } : {}),
        steps: run.steps.map(({ id }) => id),
      },
      ...cures.filter(({ of }) => of === run.id).map(({ of: _, ...cure }) => cure),
    ];
  });
  return operations;
}

function runsOf(plan: Plan, place: Place, isRelief: boolean): Run[] {
  const runs: Run[] = [];
  const count = new Map<OperationKind, number>();
  for (const step of plan.steps) {
    const work = workOf(step, place, isRelief);
    const last = runs.at(-1);
    if (last && last.kind === work.kind && !isAwaited(step)) {
      last.steps.push(step);
      continue;
    }
    const number = (count.get(work.kind) ?? 0) + 1;
    count.set(work.kind, number);
    runs.push({ ...work, id: number === 1 ? work.kind : `${work.kind} ${number}`, steps: [step] });
  }
  return runs;
}

/** A part that is to come: work behind it goes no further before it is here. */
const isAwaited = ({ task, status }: PlannedStep): boolean => task.kind === 'arrive' && status !== 'done';

function waitsFor(run: Run, steps: readonly PlannedStep[]): JobOperation[] {
  return run.steps.filter(isAwaited).flatMap(({ task, waits }): JobOperation[] => {
    if (task.kind !== 'arrive') return [];
    const { part } = task;
    const expected = waits.flatMap((wait) => (wait.kind === 'part' ? (wait.expected ?? []) : []))[0];
    const order = steps.find((step) => step.task.kind === 'order' && step.task.part === part)?.task;
    return [
      {
        ...{ id: `part: ${part}`, kind: 'part', minutes: 0, after: [], done: false, steps: [] },
        ...(expected !== undefined
          ? { until: expected }
          : order?.kind === 'order'
            ? { leadDays: order.leadDays }
            : {}),
      },
    ];
  });
}

interface Cure extends JobOperation {
  readonly of: string;
}

/** Something in it is put together with threadlocker still. */
const isLocked = (run: Run): boolean =>
  run.steps.some(
    ({ stage, consumables, status }) =>
      status !== 'done' &&
      (stage === 'rebuild' || stage === 'set up') &&
      consumables.some((name) => name.endsWith('threadlocker')),
  );

/** What was put together with threadlocker, and is not long enough ago. */
function curesOf(runs: readonly Run[]): Cure[] {
  return runs.flatMap((run): Cure[] => {
    if (!isLocked(run)) return [];
    return [
      {
        of: run.id,
        id: `threadlocker: ${run.id}`,
        kind: 'threadlocker',
        // What follows waits for the handling anyway.
        minutes: STRENGTH_MINUTES - HANDLING_MINUTES,
        after: [run.id],
        done: false,
        steps: [],
      },
    ];
  });
}

const isUnderLoad = ({ kind, steps }: Run): boolean =>
  kind === 'test' || kind === 'pop' || steps.some(({ stage }) => stage === 'test');
const isBehind = ({ of }: Cure, run: Run, runs: readonly Run[]): boolean =>
  runs.findIndex(({ id }) => id === of) < runs.indexOf(run);
