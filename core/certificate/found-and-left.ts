import { latestRunout, readingsOf } from '../calls';
import { judgesOf } from '../inspection';
import { describeEntry, onStep, type EntryOf, type JobState, type Stage } from '../job';
import type { Plan } from '../plan';
import { format, type UnitSystem } from '../quantity';
import { describeSource } from '../standards';
import type { PartRole } from '../valve';

/** The stages in which a valve is taken as it came. */
const BEFORE: readonly Stage[] = ['receive', 'diagnose', 'isolate', 'strip', 'inspect'];
/** What is read there says how it worked and how it was set. */
const AS_IT_WORKED: readonly Stage[] = ['receive', 'diagnose', 'strip'];
/** What is read there is a size; a zero that was proved stands on the isolation sheet. */
const SIZES: readonly Stage[] = ['inspect'];

/** The same thing before and after the work. */
export interface Pair {
  readonly what: string;
  readonly found: string;
  readonly left: string;
}

interface Figure {
  readonly what: string;
  readonly value: string;
  /** What it was before, where that was taken. */
  readonly was?: string;
  readonly stage: Stage;
}

/** The last reading of each figure, beside what the same figure was before. */
function figuresOf(state: JobState, { steps }: Plan, system: UnitSystem): Figure[] {
  const last = new Map(
    state.records.measured.map(({ body }) => [`${body.step.id} ${body.what}`, body] as const),
  );
  const askOf = ({ step, what }: EntryOf<'measured'>['body']) => {
    const task = steps.find(({ id }) => id === step.id)?.task;
    return task?.kind === 'measure' ? task.asks.find((each) => each.what === what) : undefined;
  };
  const readAgain = new Set([...last.values()].map((body) => `${askOf(body)?.was ?? ''} ${body.what}`));
  return [...last.values()].flatMap((body) => {
    const { step, what, value } = body;
    const ask = askOf(body);
    // A zero that had to be proved is no finding; what was only read on the way to its last figure is none either.
    if (ask?.mustBe === 'zero') return [];
    if (!BEFORE.includes(step.stage) && readAgain.has(`${step.id} ${what}`)) return [];
    const { was } = ask ?? {};
    const before =
      was === undefined
        ? undefined
        : onStep(state, 'measured', was).findLast(({ body }) => body.what === what);
    const figure = {
      what,
      value: format(value, system),
      stage: step.stage,
      // What is read once more in the same stage was not found so.
      ...(before && BEFORE.includes(before.body.step.stage)
        ? { was: format(before.body.value, system) }
        : {}),
    };
    return [figure];
  });
}

const inWords = ({ what, value }: Figure) => `${what}: ${value}`;

/** Which way round parts stood, or were fitted: the last word on each. */
function ways(state: JobState, wanted: (stage: Stage) => boolean): Map<string, string> {
  return new Map(
    state.records['way-round-seen']
      .filter(({ body }) => wanted(body.step.stage))
      .map(({ body }) => [body.what, body.way] as const),
  );
}

/** What can be held side by side: figures that were taken again, and which way round things stood and stand. */
export function pairs(state: JobState, current: Plan, system: UnitSystem): Pair[] {
  const stood = ways(state, (stage) => BEFORE.includes(stage));
  const stands = ways(state, (stage) => !BEFORE.includes(stage));
  return [
    ...figuresOf(state, current, system).flatMap(({ what, value, was }) =>
      was === undefined ? [] : [{ what, found: was, left: value }],
    ),
    ...[...stood].flatMap(([what, found]) => {
      const left = stands.get(what);
      return left === undefined ? [] : [{ what, found, left }];
    }),
  ];
}

/** Sizes that were measured, and what they came to against their limits. */
export const measuredSizes = (state: JobState, current: Plan, system: UnitSystem): string[] => [
  ...figuresOf(state, current, system)
    .filter(({ stage, was }) => SIZES.includes(stage) && was === undefined)
    .map(inWords),
  ...judgesOf(current.valve).flatMap((judge) => {
    const judged = judge.judge(readingsOf(state), current.valve);
    if (!judged?.ok) return [];
    return judged.value.figures.map(
      ({ what, found, limit, verdict, source }) =>
        `${judge.subject}, ${what}: ${typeof found === 'string' ? found : format(found, system)}${
          limit ? ` (limit ${format(limit, system)})` : ''
        }, ${verdict}; ${describeSource(source)}`,
    );
  }),
];

/** What nothing was found on, in one line. */
function soundLine(words: string, made: readonly EntryOf<'finding-made'>[]): string[] {
  const sound = new Set(
    made.filter(({ body }) => body.finding.kind === 'sound').map(({ body }) => body.step.title.toLowerCase()),
  );
  return sound.size > 0 ? [`${words}: ${[...sound].join('; ')}`] : [];
}

/** What was found on the valve as it came, in lines; what stands in a pair is left to that. */
export function asFound(state: JobState, current: Plan, system: UnitSystem): string[] {
  const runout = latestRunout(state);
  const made = state.records['finding-made'].filter(({ body }) => BEFORE.includes(body.step.stage));
  const figures = figuresOf(state, current, system);
  const again = new Set(pairs(state, current, system).map(({ what }) => what));
  return [
    ...(runout
      ? [
          `stem runout (TIR): ${format(runout.runout.tir, system)}, bow ${format(runout.runout.bow, system)}, out of round ${format(runout.runout.outOfRound, system)}`,
        ]
      : []),
    ...made.filter(({ body }) => body.finding.kind !== 'sound').map((entry) => describeEntry(entry, system)),
    ...soundLine('nothing found', made),
    ...figures.filter(({ stage, what }) => AS_IT_WORKED.includes(stage) && !again.has(what)).map(inWords),
    ...[...ways(state, (stage) => BEFORE.includes(stage))].flatMap(([what, way]) =>
      again.has(what) ? [] : [`${what}: ${way}`],
    ),
  ];
}

/** Parts that were called to be renewed and have gone on. */
export function renewedParts({ steps, calls }: Pick<Plan, 'steps' | 'calls'>): PartRole[] {
  const fitted = new Set(steps.flatMap(({ status, on }) => (status === 'done' ? on : [])));
  return [...calls.values()]
    .filter(({ verdict, part }) => verdict === 'renew' && fitted.has(part))
    .map(({ part }) => part);
}

/** How it leaves, in lines; what stands in a pair is left to that. */
export function asLeft(state: JobState, current: Plan, system: UnitSystem): string[] {
  const grits = state.records['lapping-logged'];
  const renewed = renewedParts(current);
  const again = new Set(pairs(state, current, system).map(({ what }) => what));
  return [
    ...(renewed.length > 0 ? [`renewed: ${renewed.join(', ')}`] : []),
    ...(grits.length > 0
      ? [
          `lapped: ${grits.map(({ body }) => `grit ${body.grit} for ${format(body.minutes, system)}`).join('; ')}`,
        ]
      : []),
    ...soundLine(
      'after the work, nothing found',
      state.records['finding-made'].filter(({ body }) => !BEFORE.includes(body.step.stage)),
    ),
    ...figuresOf(state, current, system)
      .filter(({ stage, was }) => !BEFORE.includes(stage) && was === undefined)
      .map(inWords),
    ...[...ways(state, (stage) => !BEFORE.includes(stage))].flatMap(([what, way]) =>
      again.has(what) ? [] : [`${what}: ${way}`],
    ),
  ];
}
