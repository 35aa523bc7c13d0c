import type { EntryOf, JobState } from '../job';
import { niceTop } from '../analysis';
import type { Plan } from '../plan';
import { format, formatNumber, valueIn, type UnitSystem } from '../quantity';
import { CLEAR_OF_STOPS, strokeVerdicts, type StrokeTestTask } from '../task';

type Off = readonly (readonly [signal: number, off: number])[];

/** A stroke test as paper shows it: each point, each figure against its limit, and how far it was off, drawn. */
export interface StrokeSheet {
  readonly step: string;
  readonly simulated: boolean;
  /** Taken as it was found: kept whatever it says. */
  readonly asFound: boolean;
  readonly points: readonly { readonly signal: string; readonly up: string; readonly down: string }[];
  readonly verdicts: readonly {
    readonly label: string;
    readonly found: string;
    readonly limit: string;
    readonly fits: boolean;
  }[];
  /** Off by, percent of the rated travel, against percent of the signal; no further than `most` either way. */
  readonly up: Off;
  readonly down: Off;
  readonly most: number;
  /** The recording that it was read out of: its file, and how far it was off all the way. */
  readonly recording?: { readonly file: string; readonly off: Off };
  /** An end that a stop holds is judged clear of it. */
  readonly clear?: true;
  /** The same as found, to lie under it. */
  readonly was?: { readonly up: Off; readonly down: Off };
}

/** The last stroke test of each step that has one, the one as found under the one as left. */
export function strokeSheets(
  state: JobState,
  { steps }: Pick<Plan, 'steps'>,
  system: UnitSystem,
): StrokeSheet[] {
  const last = new Map(state.records['stroke-tested'].map((entry) => [entry.body.step.id, entry]));
  return [...last.values()].map((entry) => {
    const task = steps.find(({ id }) => id === entry.body.step.id)?.task;
    const was = task?.kind === 'stroke-test' ? last.get(task.was ?? '') : undefined;
    const asFound = task?.kind === 'stroke-test' && task.asFound === true;
    const by = task?.kind === 'stroke-test' ? task.by : 'positioner';
    return { ...sheetOf(entry.body, was?.body, by, system), asFound };
  });
}

type Stroke = EntryOf<'stroke-tested'>['body'];
const percent = (share: Stroke['points'][number]['up']) => valueIn(share, '%');
const offOf = ({ points }: Stroke) => {
  const off = (way: 'up' | 'down'): Off =>
    points.map((point) => [percent(point.signal), percent(point[way]) - percent(point.signal)] as const);
  return { up: off('up'), down: off('down') };
};

function recorded({ file, signal, travel }: NonNullable<Stroke['recording']>) {
  return { file, off: signal.map((at, i) => [at, (travel[i] ?? at) - at] as const) };
}

function sheetOf(
  body: Stroke,
  before: Stroke | undefined,
  by: StrokeTestTask['by'],
  system: UnitSystem,
): Omit<StrokeSheet, 'asFound'> {
  const [off, was] = [offOf(body), before && offOf(before)];
  const all = [off, ...(was ? [was] : [])].flatMap(({ up, down }) => [...up, ...down]);
  return {
    step: body.step.title,
    simulated: body.readBy !== 'hand' && body.readBy.simulated,
    points: body.points.map((point) => ({
      signal: `${formatNumber(percent(point.signal), 1)} %`,
      up: `${formatNumber(percent(point.up), 1)} %`,
      down: `${formatNumber(percent(point.down), 1)} %`,
    })),
    verdicts: (strokeVerdicts(body.points, by) ?? []).map(({ label, found, limit, fits }) => ({
      label,
      found: format(found, system),
      limit: format(limit, system),
      fits,
    })),
    ...off,
    ...(body.recording ? { recording: recorded(body.recording) } : {}),
    ...(body.points.some(
      ({ signal }) => percent(signal) === CLEAR_OF_STOPS.low || percent(signal) === CLEAR_OF_STOPS.high,
    )
      ? { clear: true as const }
      : {}),
    most: niceTop(Math.max(0.1, ...all.map(([, by]) => Math.abs(by)))),
    ...(was ? { was } : {}),
  };
}

/** What is said under a stroke test, besides its figures. */
export const strokeNotes = ({ was, clear, recording, simulated }: StrokeSheet): string[] => [
  ...(was ? ['Dotted: as found.'] : []),
  ...(clear ? ['A stop holds it at its end: judged clear of it, at 5 or 95 %.'] : []),
  ...(recording ? [`Thin: the recording “${recording.file}”, out of which the points were read.`] : []),
  ...(simulated ? ['Read by simulated gauges.'] : []),
];

/** A curve of what it is off by, moved up and cut so that nothing lies outside the box that it is drawn in. */
export const offDrawn = (off: Off, most: number): Off =>
  off.map(([signal, by]) => [signal, Math.max(0, Math.min(2 * most, by + most))] as const);
