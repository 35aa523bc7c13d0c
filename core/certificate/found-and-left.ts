import { latestRunout, siteOf } from '../calls';
import { describeEntry, onStep, type EntryOf, type JobState, type Stage } from '../job';
import type { Plan } from '../plan';
import { format, type UnitSystem } from '../quantity';
import { seatContact } from '../workings';

/** The stages in which a valve is taken as it came. */
const BEFORE: readonly Stage[] = ['receive', 'diagnose', 'isolate', 'strip', 'inspect'];

/** What nothing was found on, in one line. */
function soundLine(words: string, made: readonly EntryOf<'finding-made'>[]): string[] {
  const sound = made
    .filter(({ body }) => body.finding.kind === 'sound')
    .map(({ body }) => body.step.title.toLowerCase());
  return sound.length > 0 ? [`${words}: ${sound.join('; ')}`] : [];
}

/** The last reading of each figure, beside what the same figure was before where that was taken. */
function figures(
  state: JobState,
  { steps }: Plan,
  system: UnitSystem,
  wanted: (stage: Stage) => boolean,
): string[] {
  const last = new Map(
    state.records.measured
      .filter(({ body }) => wanted(body.step.stage))
      .map((entry) => [`${entry.body.step.id} ${entry.body.what}`, entry.body] as const),
  );
  return [...last.values()].map(({ step, what, value }) => {
    const task = steps.find(({ id }) => id === step.id)?.task;
    const was = task?.kind === 'measure' ? task.asks.find((ask) => ask.what === what)?.was : undefined;
    const before =
      was === undefined
        ? undefined
        : onStep(state, 'measured', was).findLast(({ body }) => body.what === what)?.body.value;
    return `${what}: ${format(value, system)}${before ? `, was ${format(before, system)}` : ''}`;
  });
}

/** Which way round parts stood, or were fitted: the last word on each. */
function ways(state: JobState, wanted: (stage: Stage) => boolean): string[] {
  const last = new Map(
    state.records['way-round-seen']
      .filter(({ body }) => wanted(body.step.stage))
      .map(({ body }) => [body.what, body.way] as const),
  );
  return [...last].map(([what, way]) => `${what}: ${way}`);
}

/** What was found on the valve as it came, in lines. */
export function asFound(state: JobState, current: Plan, system: UnitSystem): string[] {
  const { records } = state;
  const runout = latestRunout(state);
  const made = records['finding-made'].filter(({ body }) => BEFORE.includes(body.step.stage));
  const findings = made
    .filter(({ body }) => body.finding.kind !== 'sound')
    .map(
      (entry) =>
        describeEntry(entry, system) +
        ('depth' in entry.body.finding ? `, ${format(entry.body.finding.depth, system)} deep` : ''),
    );
  return [
    ...(runout
      ? [
          `stem runout: TIR ${format(runout.runout.tir, system)}, bow ${format(runout.runout.bow, system)}, out of round ${format(runout.runout.outOfRound, system)}`,
        ]
      : []),
    ...findings,
    ...soundLine('nothing found', made),
    ...contactLines(state, current, system, 'inspect'),
    ...figures(state, current, system, (stage) => BEFORE.includes(stage)),
    ...ways(state, (stage) => BEFORE.includes(stage)),
  ];
}

/** How it leaves, in lines. */
export function asLeft(state: JobState, current: Plan, system: UnitSystem): string[] {
  const grits = state.records['lapping-logged'];
  const renewed = [...current.calls.values()]
    .filter(({ verdict }) => verdict === 'renew')
    .map(({ part }) => part);
  return [
    ...(renewed.length > 0 ? [`renewed: ${renewed.join(', ')}`] : []),
    ...(grits.length > 0
      ? [
          `lapped: ${grits.map(({ body }) => `grit ${body.grit} for ${format(body.minutes, system)}`).join('; ')}`,
        ]
      : []),
    ...contactLines(state, current, system, 'repair'),
    ...soundLine(
      'after the work, nothing found',
      state.records['finding-made'].filter(({ body }) => !BEFORE.includes(body.step.stage)),
    ),
    ...figures(state, current, system, (stage) => !BEFORE.includes(stage)),
    ...ways(state, (stage) => !BEFORE.includes(stage)),
  ];
}

/** The last blue check of each contact in a stage: as found while looking, as left after the work. */
function contactLines(state: JobState, current: Plan, system: UnitSystem, stage: Stage): string[] {
  const last = new Map<string, EntryOf<'bluing-checked'>>();
  for (const entry of state.records['bluing-checked']) {
    const step = current.steps.find(({ id }) => id === entry.body.step.id);
    if (entry.body.step.stage === stage) last.set(step?.parts.join() ?? entry.body.step.id, entry);
  }
  return [...last.values()].flatMap(({ body }) => {
    const worked = seatContact.work({
      diameter: body.diameter,
      arcs: body.arcs,
      widest: siteOf(state).widestBlueLine,
    });
    if (!worked.ok) return [];
    const { continuity, widthMean, verdict } = worked.value.result;
    return [
      `${body.step.title}: ${format(continuity, system)} of the circle, ${format(widthMean, system)} wide, ${verdict}`,
    ];
  });
}
