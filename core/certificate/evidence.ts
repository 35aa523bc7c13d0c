import { latestRunout, siteOf } from '../calls';
import { onStep, type Entry, type EntryOf, type JobState, type Stage } from '../job';
import type { Plan } from '../plan';
import { format, si, valueIn, type Quantity, type UnitSystem } from '../quantity';
import { meansOf, meets, wantedWords, type Wanted } from '../task';
import { seatContact } from '../workings';
import { corrections } from './corrections';
import { callLines, type CallLine } from './calls';
import { strokeSheets } from './stroke-sheets';
import { testLines, type TestLine } from './pressure-tests';

/** A blue line as it was read, its arcs in degrees clockwise from 12 o'clock, their width from 0 to 1 of the widest. */
export interface BlueRing {
  readonly words: string;
  readonly passes: boolean;
  readonly arcs: readonly { readonly from: number; readonly to: number; readonly width: number }[];
}

/** One contact: its blue line as it was found, where it was looked at before the work, and as it is left. */
export interface RingPair {
  readonly contact: string;
  readonly found?: BlueRing;
  readonly left?: BlueRing;
}

/** A figure of set-up or test, beside what it had to be. */
export interface JudgedFigure {
  readonly what: string;
  readonly value: string;
  readonly limit?: string;
  readonly meets: boolean;
}

/** What an inspector is shown before a hold is released. */
export interface Evidence {
  readonly rings: readonly RingPair[];
  /** Calls that are not “fit”, and those that somebody overruled. */
  readonly calls: readonly CallLine[];
  readonly tests: readonly TestLine[];
  readonly figures: readonly JudgedFigure[];
  /** Entries that were struck, with why and by whom. */
  readonly struck: readonly string[];
}

/** From the work on, a blue line is what it is left with. */
const AFTER: readonly Stage[] = ['repair', 'rebuild', 'set up', 'test', 'release'];
const PROVING: readonly Stage[] = ['set up', 'test'];

/** The evidence of the job so far: of contact and calls before the valve is closed, of tests too once they are run. */
export function evidence(
  state: JobState,
  log: readonly Entry[],
  current: Plan,
  system: UnitSystem,
): Evidence {
  return {
    rings: ringPairs(state, current, system),
    calls: callLines(current, system).filter(
      ({ verdict, overruled }) => verdict !== 'fit' || overruled !== undefined,
    ),
    tests: testLines(state, current),
    figures: [
      ...runouts(state, current, system),
      ...stroked(state, current, system),
      ...judged(state, current, system),
    ],
    struck: corrections(log, system),
  };
}

/** The blue line of every contact, as found and as left. */
export function ringPairs(state: JobState, { steps }: Plan, system: UnitSystem): RingPair[] {
  const byContact = new Map<string, EntryOf<'bluing-checked'>[]>();
  for (const entry of state.records['bluing-checked']) {
    const parts = steps.find(({ id }) => id === entry.body.step.id)?.parts ?? [];
    const contact = parts.length > 0 ? parts.join(' and ') : entry.body.step.title;
    byContact.set(contact, [...(byContact.get(contact) ?? []), entry]);
  }
  return [...byContact].flatMap(([contact, checks]) => {
    const first = checks.find(({ body }) => !AFTER.includes(body.step.stage));
    const last = checks.findLast(({ body }) => AFTER.includes(body.step.stage));
    const [found, left] = [first, last].map((check) => check && ringOf(check, state, system));
    return found || left ? [{ contact, ...(found ? { found } : {}), ...(left ? { left } : {}) }] : [];
  });
}

function ringOf(
  { body }: EntryOf<'bluing-checked'>,
  state: JobState,
  system: UnitSystem,
): BlueRing | undefined {
  const worked = seatContact.work({
    diameter: body.diameter,
    arcs: body.arcs,
    widest: siteOf(state).widestBlueLine,
  });
  if (!worked.ok) return undefined;
  const { continuity, verdict } = worked.value.result;
  const widest = Math.max(...body.arcs.map(({ width }) => valueIn(width, 'in')), 0.001);
  return {
    words: `${format(continuity, system)} of the circle, ${verdict}`,
    passes: verdict === 'fit',
    arcs: body.arcs.map(({ from, to, width }) => ({
      from: valueIn(from, '°'),
      to: valueIn(to, '°'),
      width: valueIn(width, 'in') / widest,
    })),
  };
}

/** The runout that the call on the stem rests on, beside its limit. */
function runouts(state: JobState, { steps }: Plan, system: UnitSystem): JudgedFigure[] {
  const last = latestRunout(state);
  const task = steps.find(({ task }) => task.kind === 'runout')?.task;
  if (!last || task?.kind !== 'runout') return [];
  const { tir } = last.runout;
  return [
    {
      what: `${task.part} runout, TIR`,
      value: format(tir, system),
      limit: format(task.limit, system),
      meets: si(tir) <= si(task.limit),
    },
  ];
}

/** The last of each figure of set-up and test, and what readings both ways come to. */
function judged(state: JobState, { steps }: Plan, system: UnitSystem): JudgedFigure[] {
  return steps.flatMap(({ id, task }) => {
    if (task.kind !== 'measure') return [];
    const read = new Map(onStep(state, 'measured', id).map(({ body }) => [body.what, body] as const));
    const isProved = [...read.values()].some(({ step }) => PROVING.includes(step.stage));
    const isAgain = (what: string) =>
      steps.some(
        (other) =>
          other.task.kind === 'measure' &&
          other.task.asks.some((ask) => ask.was === id && ask.what === what) &&
          onStep(state, 'measured', other.id).some(({ body }) => body.what === what),
      );
    if (!isProved) return [];
    const figures = task.asks.flatMap((ask) => {
      const value = read.get(ask.what)?.value;
      return value && ask.mustBe !== undefined && !isAgain(ask.what)
        ? [judgedAs(ask.what, value, ask, system)]
        : [];
    });
    const values = new Map([...read].map(([what, { value }]) => [what, value] as const));
    const means = meansOf(task, values).map(({ mean, value }) => judgedAs(mean.what, value, mean, system));
    return [...figures, ...means];
  });
}

function judgedAs(
  what: string,
  value: Quantity,
  asked: { readonly mustBe?: Wanted },
  system: UnitSystem,
): JudgedFigure {
  const limit = wantedWords(asked.mustBe, (each) => format(each, system));
  return { what, value: format(value, system), ...(limit ? { limit } : {}), meets: meets(asked, value) };
}

/** Each figure of the stroke tests as left, beside its limit. */
const stroked = (state: JobState, current: Plan, system: UnitSystem): JudgedFigure[] =>
  strokeSheets(state, current, system).flatMap(({ asFound, verdicts }) =>
    asFound
      ? []
      : verdicts.map(({ label, found, limit, fits }) => ({
          what: `stroke test, ${label}`,
          value: found,
          limit,
          meets: fits,
        })),
  );
