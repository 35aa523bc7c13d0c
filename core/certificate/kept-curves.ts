import type { EntryOf, JobState } from '../job';
import { niceTop } from '../analysis';
import { preferredUnit, psig, valueIn, type UnitSystem } from '../quantity';

/** Pressure over time as an instrument drew it, in the reader’s unit; several of one step lie over each other. */
export interface KeptCurves {
  readonly step: string;
  readonly unit: string;
  /** The ends of its axes. */
  readonly seconds: number;
  readonly most: number;
  readonly curves: readonly {
    readonly what: string;
    readonly simulated: boolean;
    /** The recording that it was read out of. */
    readonly file?: string;
    readonly points: readonly (readonly [seconds: number, pressure: number])[];
  }[];
}

/** The last curve of each figure that was read off one, by step. */
export function keptCurves(state: JobState, system: UnitSystem): KeptCurves[] {
  const last = [
    ...new Map(
      state.records['curve-kept'].map((entry) => [`${entry.body.step.id} ${entry.body.what}`, entry]),
    ).values(),
  ];
  const unit = preferredUnit(psig(100), system);
  return [...new Set(last.map(({ body }) => body.step.id))].map((step) => {
    const entries = last.filter(({ body }) => body.step.id === step);
    const curves = entries.map(({ body }) => curveOf(body, unit));
    const all = curves.flatMap(({ points }) => points);
    return {
      step: entries[0]?.body.step.title ?? '',
      unit,
      seconds: Math.max(...all.map(([seconds]) => seconds)),
      most: niceTop(Math.max(...all.map(([, pressure]) => pressure))),
      curves,
    };
  });
}

function curveOf(
  { what, seconds, psig: pressures, file, readBy }: EntryOf<'curve-kept'>['body'],
  unit: string,
) {
  return {
    what,
    simulated: readBy !== 'hand' && readBy.simulated,
    ...(file === undefined ? {} : { file }),
    points: seconds.map((at, i) => [at, valueIn(psig(pressures[i] ?? 0), unit)] as const),
  };
}
