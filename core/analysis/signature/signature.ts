import type { Line } from '../straight-line';
import { cleaned } from './clean';
import { springLine, tightestPlace, traceOf, type Trace } from './loop';
import { endsOf, type StrokeRecording } from './recording';
import { responseOf, type Response } from './response';
import { stickSlips, type StickSlip } from './stick-slip';
import { stopOf, type Stop } from './stops';
import { strokesOf } from './strokes';

export interface Signature {
  /** Half the width of the loop, Pa: friction is this times the area. */
  readonly frictionPressure: number;
  /** Where the loop is much wider than elsewhere, and half its width there, Pa. */
  readonly tightest?: { readonly travel: number; readonly pressure: number };
  /** The line between the two strokes, Pa over travel: friction removed. */
  readonly mid: Line;
  readonly rising: Line;
  readonly falling: Line;
  /** Travel of the closed and the open end, between which the spring works. */
  readonly closed: number;
  readonly open: number;
  /** The seat; undefined when the stroke never presses on it. */
  readonly seat?: Stop;
  /** The stop at the open end; undefined when the stroke never presses on it. */
  readonly backstop?: Stop;
  /** Shares of span against the signal; undefined without a signal column, or with too few rows. */
  readonly response?: Response;
  /** Undefined where the command goes in steps. */
  readonly stickSlip: readonly StickSlip[] | undefined;
  /** Strokes there and back, together. */
  readonly strokes: number;
  /** Travel at the end less travel at the beginning, where the drive came back to where it was; a share of the span. */
  readonly drift?: number;
  readonly spikes: number;
  readonly outOfOrder: number;
  readonly clockRestarts: number;
  readonly loop: { readonly rising: Trace; readonly falling: Trace };
}

/** Why a recording has no signature. */
export type NoSignature = 'too short' | 'no travel' | 'one way only';

const LEAST_SAMPLES = 50;

/**
 * The signature of a stroke: friction from the width of the loop, bench set from the line between the strokes, seat
 * contact where the slope turns, dead band and hysteresis against the signal, stick-slip where travel jumps. Rows are
 * put in order of time, single spikes put right, and both said. A few passes over the samples; time grows with their
 * number only.
 */
export function analyseSignature(raw: StrokeRecording): Signature | NoSignature {
  if (raw.travel.length < LEAST_SAMPLES) return 'too short';
  const { recording, ...care } = cleaned(raw);
  const { travel, signal } = recording;
  const [low, high] = endsOf(travel);
  if (!(high > low)) return 'no travel';
  const strokes = strokesOf(recording);
  if (!strokes) return 'one way only';
  const loop = {
    rising: traceOf(recording, strokes.rising, low, high),
    falling: traceOf(recording, strokes.falling, low, high),
  };
  const [rising, falling] = [springLine(loop.rising, low, high), springLine(loop.falling, low, high)];
  if (!rising || !falling) return 'one way only';
  const mid: Line = {
    slope: (rising.slope + falling.slope) / 2,
    intercept: (rising.intercept + falling.intercept) / 2,
  };
  const middle = (low + high) / 2;
  const seat = hardest(strokes.falling.map((range) => stopOf(recording, range, falling, low, high, 'low')));
  const backstop = hardest(
    strokes.rising.map((range) => stopOf(recording, range, rising, low, high, 'high')),
  );
  const response = signal && responseOf(signal, travel, strokes, low, high);
  const tightest = tightestPlace(loop.rising, loop.falling, low, high);
  const drift = driftOf(recording, low, high);
  return {
    frictionPressure:
      Math.abs(rising.intercept - falling.intercept + (rising.slope - falling.slope) * middle) / 2,
    ...(tightest ? { tightest } : {}),
    mid,
    rising,
    falling,
    closed: seat?.travel ?? low,
    open: backstop?.travel ?? high,
    ...(seat ? { seat } : {}),
    ...(backstop ? { backstop } : {}),
    ...(response ? { response } : {}),
    stickSlip: stickSlips(recording, low, high),
    strokes: strokes.rising.length + strokes.falling.length,
    ...(drift === undefined ? {} : { drift }),
    ...care,
    loop,
  };
}

/** The stop that was pressed on hardest; a stroke that was cut short says little. */
const hardest = (stops: readonly (Stop | undefined)[]): Stop | undefined =>
  stops.reduce<Stop | undefined>((most, each) => {
    if (!each) return most;
    return most && Math.abs(most.end - most.contact) >= Math.abs(each.end - each.contact) ? most : each;
  }, undefined);

/** The drive is back where it began within this share of its range. */
const BACK = 0.02;

function driftOf(
  { signal, pressure, travel }: StrokeRecording,
  low: number,
  high: number,
): number | undefined {
  const drive = signal ?? pressure;
  const few = Math.max(1, Math.floor(travel.length / 400));
  const mean = (values: Float64Array) => values.reduce((sum, value) => sum + value, 0) / values.length;
  const ends = (values: Float64Array) =>
    [mean(values.subarray(0, few)), mean(values.subarray(-few))] as const;
  const [least, most] = endsOf(drive);
  const [begun, ended] = ends(drive);
  if (!(most > least) || Math.abs(ended - begun) > BACK * (most - least)) return undefined;
  const [first, last] = ends(travel);
  return (last - first) / (high - low);
}
