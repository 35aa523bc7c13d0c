import type { EntryOf, JobState } from '../job';
import { niceTop } from '../analysis';
import type { Plan } from '../plan';
import { format, formatNumber, valueIn, type UnitSystem } from '../quantity';
import { strokeVerdicts, type StrokeTestTask } from '../task';

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
    most: niceTop(Math.max(0.1, ...all.map(([, by]) => Math.abs(by)))),
    ...(was ? { was } : {}),
  };
}

/** A curve of what it is off by, moved up so that nothing lies below the box that it is drawn in. */
export const offDrawn = (off: Off, most: number): Off =>
  off.map(([signal, by]) => [signal, by + most] as const);
