import { z } from 'zod';
import { renewedParts } from '../certificate';
import { siteOf, stemRole } from '../calls';
import { judgesOf, stemLimit } from '../inspection';
import { counts, courseSchema, valveAsLeft, valveOf, type EntryOf, type JobState } from '../job';
import type { Plan } from '../plan';
import { AS_FOUND, LEAK_WHEN_SHUT, POPS } from '../procedure';
import {
  anyQuantity,
  inches,
  quantity,
  si,
  valueIn,
  type Length,
  type Quantity,
  type Ratio,
} from '../quantity';
import { CODE_OF_STAMP, SET_TOLERANCES, toleranceAt } from '../standards';
import { asFlow, strokeVerdicts, type TaskOf } from '../task';
import { metalSeatOf, partsOf, type PartRole } from '../valve';
import { stemRunout } from '../workings';
import { asItCame, readIn } from './taken';

/** Something that is used up, or put back at every job, as one job found it and left it. */
export const measureSchema = courseSchema.omit({ points: true }).extend({
  found: anyQuantity.exactOptional(),
  left: anyQuantity.exactOptional(),
  /** The part is new from this job on. */
  renewed: z.boolean(),
});
export type Measure = z.output<typeof measureSchema>;

/** What of a job's figures says how far its valve is used up (common practice). */
export function measuresOf(state: JobState, current: Plan): Measure[] {
  const renewed = new Set(renewedParts(current));
  return [
    ...judged(state, current, renewed),
    ...seatStock(state, renewed),
    ...runout(state, current, renewed),
    ...setDrift(state, current),
    ...leakWhenShut(state, current),
    ...strokes(state, current),
  ];
}

type Renewed = ReadonlySet<PartRole>;

/** What is left of both: nothing of what nobody read. */
const read = (found: Quantity | undefined, left: Quantity | undefined) => ({
  ...(found ? { found } : {}),
  ...(left ? { left } : {}),
});

/** What every judge made of the figures: a clearance, a bore, a stem in its packing, a spring, the travel of a wedge. */
function judged(state: JobState, { valve }: Plan, renewed: Renewed): Measure[] {
  const [before, after] = [readIn(state, asItCame), readIn(state, () => true)];
  return judgesOf(valve).flatMap(({ judge, part, reads, subject }) => {
    if (!part) return [];
    const [found, left] = [judge(before, valve), judge(after, valve)];
    if (!left?.ok) return [];
    const isNew = renewed.has(part);
    const again = state.records.measured.some(
      ({ body }) => reads.includes(body.what) && !asItCame(body.step.stage),
    );
    const figureIn = (made: typeof left | undefined, what: string) => {
      const figure = made?.ok ? made.value.figures.find((each) => each.what === what)?.found : undefined;
      return typeof figure === 'object' ? figure : undefined;
    };
    return left.value.figures.flatMap(({ what, found: value, limit }): Measure[] => {
      const falls = limit === undefined && typeof value === 'object' && value.dimension === 'length';
      const most = limit ?? (falls ? inches(0) : undefined);
      if (!most || typeof value !== 'object' || value.dimension !== most.dimension) return [];
      return [
        {
          ...{ what: `${subject}: ${what}`, part, kind: 'used up', limit: most, renewed: isNew },
          direction: falls ? 'falling' : 'rising',
          ...read(
            figureIn(found?.ok ? found : undefined, what),
            isNew && !again ? undefined : figureIn(left, what),
          ),
        },
      ];
    });
  });
}

/** Faces whose stock is the seat’s. */
const SEATS: readonly PartRole[] = ['seat', 'seat ring', 'nozzle'];

/** Metal of the seat over the least: found less by the deepest mark in it, left less by what was cut off. */
function seatStock(state: JobState, renewed: Renewed): Measure[] {
  const [came, left] = [valveOf(state), valveAsLeft(state)];
  const stock = came && metalSeatOf(came.features)?.stock;
  if (!stock) return [];
  const part = SEATS.find((role) => partsOf(came).some((each) => each.role === role));
  const isNew = part !== undefined && renewed.has(part);
  const inches_ = (length: Length) => valueIn(length, stock.unit);
  const deepest = Math.max(
    0,
    ...state.records['finding-made'].flatMap(({ body }) =>
      SEATS.includes(body.part) && body.finding.kind === 'seat damage' && asItCame(body.step.stage)
        ? [inches_(body.finding.depth)]
        : [],
    ),
  );
  const after = left && metalSeatOf(left.features)?.stock;
  return [
    {
      ...{ what: 'stock of the seat', kind: 'used up', direction: 'falling' },
      ...{ limit: quantity('length', 0, 'in'), renewed: isNew },
      ...(part ? { part } : {}),
      ...read({ ...stock, value: stock.value - deepest }, isNew ? undefined : after),
    },
  ];
}

/** What runs in the packing: the first turn of it, and the last; straightened it is put back. */
function runout(state: JobState, { valve }: Plan, renewed: Renewed): Measure[] {
  const tir = (entry: EntryOf<'runout-taken'> | undefined) => {
    const worked = entry && stemRunout.work({ readings: entry.body.readings });
    return worked?.ok ? worked.value.result.tir : undefined;
  };
  const taken = state.records['runout-taken'].filter(({ body }) => counts(body.readBy));
  const found = tir(taken[0]);
  if (!found) return [];
  const part = stemRole(valve);
  const isNew = renewed.has(part);
  return [
    {
      ...{ what: `runout of the ${part}`, part, kind: 'put back', direction: 'rising', renewed: isNew },
      limit: stemLimit(valve, siteOf(state)).limit,
      ...read(found, isNew && taken.length < 2 ? undefined : tir(taken.at(-1))),
    },
  ];
}

/** Not open at this much over its set pressure is stuck shut (API RP 576). */
export const STUCK = 1.5;

/** How far a relief valve pops from its set pressure, either way. */
function setDrift(state: JobState, { valve }: Plan): Measure[] {
  const { setPressure, stamp } = valve.plate ?? {};
  if (!setPressure || !stamp) return [];
  const psi = valueIn(setPressure, 'psig');
  const off = (pops: readonly Quantity[]): Ratio | undefined => {
    if (pops.length === 0) return undefined;
    const mean = pops.reduce((sum, pop) => sum + valueIn(pop, 'psig'), 0) / pops.length;
    return quantity('ratio', (100 * Math.abs(mean - psi)) / psi, '%');
  };
  const popped = (wanted: (what: string) => boolean) =>
    new Map(
      state.records.measured
        .filter(({ body }) => wanted(body.what) && counts(body.readBy))
        .map(({ body }) => [body.what, body.value] as const),
    );
  const { psi: tolerance } = toleranceAt(SET_TOLERANCES[CODE_OF_STAMP[stamp]], psi);
  // One that did not open at all says nothing of how its setting drifts.
  const found = off(
    [...popped((what) => what === AS_FOUND.pop).values()].filter((pop) => si(pop) < STUCK * si(setPressure)),
  );
  const left = off([...popped((what) => POPS.some((pop) => pop === what)).values()]);
  if (!found && !left) return [];
  return [
    {
      ...{ what: 'set pressure: off by', kind: 'put back', direction: 'rising', renewed: false },
      limit: quantity('ratio', (100 * tolerance) / psi, '%'),
      ...read(found, left),
    },
  ];
}

/** What runs through when it is shut, as found in its line and as its seat test leaves it. */
function leakWhenShut(state: JobState, { steps }: Plan): Measure[] {
  const found = readIn(state, asItCame)(LEAK_WHEN_SHUT, 'flow');
  const step = steps.findLast(({ task }) => task.kind === 'pressure-test' && task.test === 'seat');
  if (!found || step?.task.kind !== 'pressure-test') return [];
  const { task } = step;
  const limit = asFlow(task.allowed, task.tube);
  if (!limit || si(limit) === 0) return [];
  const last = state.records['pressure-tested'].findLast(
    ({ body }) => body.step.id === step.id && counts(body.readBy),
  );
  const left =
    last?.body.leak.perMinute === 0 ? { ...limit, value: 0 } : last && asFlow(last.body.leak, task.tube);
  return [
    {
      ...{ what: LEAK_WHEN_SHUT, kind: 'put back', direction: 'rising', renewed: false, limit },
      ...read(found, left),
    },
  ];
}

/** What a stroke test is judged by. */
function strokes(state: JobState, { steps }: Plan): Measure[] {
  const last = new Map(state.records['stroke-tested'].map(({ body }) => [body.step.id, body] as const));
  const tested = steps.flatMap(({ id, task }) => {
    const body = last.get(id);
    return task.kind === 'stroke-test' && body ? [{ task, points: body.points }] : [];
  });
  const verdictsOf = (wanted: (task: TaskOf<'stroke-test'>) => boolean) => {
    const test = tested.findLast(({ task }) => wanted(task));
    return (test && strokeVerdicts(test.points, test.task.by)) ?? [];
  };
  const found = verdictsOf((task) => task.asFound === true);
  const left = verdictsOf((task) => task.asFound !== true);
  const size = (value: Ratio): Ratio => ({ ...value, value: Math.abs(value.value) });
  return (left.length > 0 ? left : found).map(({ label, limit }): Measure => {
    const [was, is] = [found, left].map((list) => list.find((each) => each.label === label)?.found);
    return {
      ...{ what: `stroke: ${label}`, kind: 'put back', direction: 'rising', limit, renewed: false },
      ...read(was && size(was), is && size(is)),
    };
  });
}
