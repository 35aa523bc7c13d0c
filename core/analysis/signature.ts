import { leastDeviation, leastSquares, type Line } from './straight-line';

/** A stroke there and back: one array a quantity, in SI units, signal as a share of its range (0 to 1). */
export interface StrokeRecording {
  readonly time: Float64Array;
  readonly signal?: Float64Array;
  /** Net actuator pressure, Pa. */
  readonly pressure: Float64Array;
  /** Travel, m, or as a share when the recording has no length. */
  readonly travel: Float64Array;
}

export interface StickSlip {
  /** Time of the jump, s, the travel it began at and how far it went. */
  readonly time: number;
  readonly from: number;
  readonly jump: number;
}

/** A stop: where the stroke meets it, and the pressure it ends with. */
export interface Stop {
  readonly travel: number;
  readonly contact: number;
  readonly end: number;
}

/** Mean pressure by travel of one stroke, for fitting and drawing. */
export interface Trace {
  readonly travel: number[];
  readonly pressure: number[];
}

export interface Signature {
  /** Half the width of the loop, Pa: friction is this times the area. */
  readonly frictionPressure: number;
  /** The line between the two strokes, Pa over travel: friction removed. */
  readonly mid: Line;
  readonly rising: Line;
  readonly falling: Line;
  /** Travel of the closed and the open end, between which the spring works. */
  readonly closed: number;
  readonly open: number;
  /** The seat; undefined when the stroke never presses on it. */
  readonly seat?: Stop;
  /** Shares of span against the signal; undefined without a signal column. */
  readonly response?: {
    readonly hysteresis: number;
    readonly deadBand: number;
    readonly linearity: number;
  };
  readonly stickSlip: readonly StickSlip[];
  readonly loop: { readonly rising: Trace; readonly falling: Trace };
}

/** Why a recording has no signature. */
export type NoSignature = 'too short' | 'no travel' | 'one way only';

const LEAST_SAMPLES = 50;
const BINS = 200;
/** Lines are fitted over this part of the travel: the ends belong to the stops. */
const [FIT_FROM, FIT_TO] = [0.1, 0.9];
/** Bins of each stroke that must hold something: a stem that sticks visits few. */
const LEAST_BINS = 8;

/**
 * The signature of a stroke: friction from the width of the loop, bench set from the line between the strokes, seat
 * contact where the slope turns, dead band and hysteresis against the signal, stick-slip where travel jumps.
 * A few passes over the samples; time grows with their number only.
 */
export function analyseSignature(recording: StrokeRecording): Signature | NoSignature {
  const { travel } = recording;
  if (travel.length < LEAST_SAMPLES) return 'too short';
  const [low, high] = endsOf(travel);
  if (!(high > low)) return 'no travel';
  const strokes = strokesOf(recording);
  if (!strokes) return 'one way only';
  const loop = {
    rising: trace(recording, strokes.rising, low, high),
    falling: trace(recording, strokes.falling, low, high),
  };
  const [rising, falling] = [fit(loop.rising, low, high), fit(loop.falling, low, high)];
  if (!rising || !falling) return 'one way only';
  const mid: Line = {
    slope: (rising.slope + falling.slope) / 2,
    intercept: (rising.intercept + falling.intercept) / 2,
  };
  const middle = (low + high) / 2;
  const seat = stopOf(recording, strokes.falling, falling, low, high, 'low');
  const backstop = stopOf(recording, strokes.rising, rising, low, high, 'high');
  const response = recording.signal && responseOf(recording.signal, travel, strokes, low, high);
  return {
    frictionPressure:
      Math.abs(rising.intercept - falling.intercept + (rising.slope - falling.slope) * middle) / 2,
    mid,
    rising,
    falling,
    closed: seat?.travel ?? low,
    open: backstop?.travel ?? high,
    ...(seat ? { seat } : {}),
    ...(response ? { response } : {}),
    stickSlip: stickSlips(recording, low, high),
    loop,
  };
}

/** Travel at both ends, a few samples in, so that one spike is not an end. */
function endsOf(values: Float64Array): [number, number] {
  const stride = Math.max(1, Math.floor(values.length / 4000));
  const some = Float64Array.from(
    { length: Math.floor(values.length / stride) },
    (_, i) => values[i * stride] ?? 0,
  ).sort();
  const off = Math.floor(some.length / 400);
  return [some[off] ?? 0, some[some.length - 1 - off] ?? 0];
}

/** From and up to, not including, an index. */
type Range = readonly [from: number, to: number];

interface Strokes {
  readonly rising: Range;
  readonly falling: Range;
}

/** Splits at the turn of the signal (of the pressure without one); undefined when it turns at no inner sample. */
function strokesOf({ signal, pressure, travel }: StrokeRecording): Strokes | undefined {
  const drive = signal ?? pressure;
  const n = drive.length;
  let [most, least] = [0, 0];
  for (let i = 1; i < n; i++) {
    if ((drive[i] ?? 0) > (drive[most] ?? 0)) most = i;
    if ((drive[i] ?? 0) < (drive[least] ?? 0)) least = i;
  }
  const turn = [most, least].find((i) => i > n * 0.05 && i < n * 0.95);
  if (turn === undefined) return undefined;
  const [first, second]: Range[] = [
    [0, turn],
    [turn, n],
  ];
  if (!first || !second) return undefined;
  const firstRises = (travel[turn] ?? 0) >= (travel[0] ?? 0);
  return firstRises ? { rising: first, falling: second } : { rising: second, falling: first };
}

function trace({ travel, pressure }: StrokeRecording, [from, to]: Range, low: number, high: number): Trace {
  const sums = new Float64Array(BINS);
  const counts = new Uint32Array(BINS);
  const perTravel = BINS / (high - low);
  for (let i = from; i < to; i++) {
    const bin = Math.floor(((travel[i] ?? 0) - low) * perTravel);
    if (bin < 0 || bin >= BINS) continue;
    sums[bin] = (sums[bin] ?? 0) + (pressure[i] ?? 0);
    counts[bin] = (counts[bin] ?? 0) + 1;
  }
  const visited = Array.from(counts.keys()).filter((bin) => (counts[bin] ?? 0) > 0);
  return {
    travel: visited.map((bin) => low + (bin + 0.5) / perTravel),
    pressure: visited.map((bin) => (sums[bin] ?? 0) / (counts[bin] ?? 1)),
  };
}

/** The line through the middle of a stroke; undefined where it was hardly there. */
function fit({ travel, pressure }: Trace, low: number, high: number): Line | undefined {
  const inside = travel.flatMap((at, i) => {
    const share = (at - low) / (high - low);
    return share >= FIT_FROM && share <= FIT_TO ? [i] : [];
  });
  if (inside.length < LEAST_BINS) return undefined;
  return leastSquares(
    inside.map((i) => travel[i] ?? 0),
    inside.map((i) => pressure[i] ?? 0),
  );
}

/** A stroke that presses on a stop leaves the spring line by more than this share of the pressure range. */
const LEAVES_THE_LINE = 0.03;
/** The upright part is fitted between these shares of the way from the line to the end. */
const [UPRIGHT_FROM, UPRIGHT_TO] = [0.1, 0.7];

/**
 * Where a stroke meets its stop: beyond it pressure goes on changing while travel hardly does. The nearly upright part
 * is fitted as travel over pressure; where it crosses the spring line is the contact.
 */
function stopOf(
  { travel, pressure }: StrokeRecording,
  [from, to]: Range,
  spring: Line,
  low: number,
  high: number,
  at: 'low' | 'high',
): Stop | undefined {
  const tail = Math.min(200, Math.max(3, Math.floor((to - from) / 4000)));
  let end = 0;
  for (let i = to - tail; i < to; i++) end += (pressure[i] ?? 0) / tail;
  const edge = at === 'low' ? low : high;
  const beyond = spring.intercept + spring.slope * edge - end;
  if (Math.abs(beyond) < LEAVES_THE_LINE * Math.abs(spring.slope * (high - low))) return undefined;
  const near = 0.1 * (high - low);
  const stride = Math.max(1, Math.floor((to - from) / 40_000));
  const [travels, pressures]: [number[], number[]] = [[], []];
  for (let i = from; i < to; i += stride) {
    const share = ((pressure[i] ?? 0) - end) / beyond;
    if (share <= UPRIGHT_FROM || share >= UPRIGHT_TO || Math.abs((travel[i] ?? 0) - edge) > near) continue;
    travels.push(travel[i] ?? 0);
    pressures.push(pressure[i] ?? 0);
  }
  if (travels.length < 5) return undefined;
  const upright = leastSquares(pressures, travels);
  const contact = (spring.intercept + spring.slope * upright.intercept) / (1 - spring.slope * upright.slope);
  return { travel: upright.intercept + upright.slope * contact, contact, end };
}

const RESPONSE_BINS = 100;
/** Beside a turn or a stop the stem stands: only signals at which both strokes move this share of the usual count. */
const MOVES = 0.5;

/** Travel against the signal, both as shares: largest difference, width along the signal, best straight line. */
function responseOf(
  signal: Float64Array,
  travel: Float64Array,
  strokes: Strokes,
  low: number,
  high: number,
): { hysteresis: number; deadBand: number; linearity: number } | undefined {
  const mean = ([from, to]: Range) => {
    const sums = new Float64Array(RESPONSE_BINS);
    const counts = new Uint32Array(RESPONSE_BINS);
    for (let i = from; i < to; i++) {
      const bin = Math.floor((signal[i] ?? 0) * RESPONSE_BINS);
      if (bin < 0 || bin >= RESPONSE_BINS) continue;
      sums[bin] = (sums[bin] ?? 0) + ((travel[i] ?? 0) - low) / (high - low);
      counts[bin] = (counts[bin] ?? 0) + 1;
    }
    return Array.from(sums, (sum, bin) => (counts[bin] ? sum / (counts[bin] ?? 1) : NaN));
  };
  const [rising, falling] = [mean(strokes.rising), mean(strokes.falling)];
  const slopeAt = (values: number[], bin: number) =>
    Math.abs((values[bin + 2] ?? NaN) - (values[bin - 2] ?? NaN));
  const bins = Array.from({ length: RESPONSE_BINS }, (_, bin) => ({
    x: (bin + 0.5) / RESPONSE_BINS,
    first: rising[bin] ?? NaN,
    second: falling[bin] ?? NaN,
    moves: Math.min(slopeAt(rising, bin), slopeAt(falling, bin)),
  })).filter(({ moves }) => Number.isFinite(moves));
  const usual = bins.map(({ moves }) => moves).sort((a, b) => a - b)[Math.floor(bins.length * 0.7)] ?? 0;
  const points = bins
    .filter(({ moves }) => moves > MOVES * usual)
    .map((bin) => ({ ...bin, y: (bin.first + bin.second) / 2 }));
  if (points.length < 5) return undefined;
  const best = leastDeviation(points);
  const differences = points.map(({ first, second }) => Math.abs(first - second));
  const narrowest = Math.min(...differences);
  return {
    hysteresis: Math.max(...differences) - narrowest,
    deadBand: best.slope === 0 ? 0 : narrowest / Math.abs(best.slope),
    linearity: best.deviation,
  };
}

const STEPS = 4000;
/** A jump: faster than this many times the usual, and further than this share of the travel, out of a standstill. */
const JUMP_FASTER = 5;
const JUMP_SHARE = 0.004;
const STANDSTILL = 0.25;

function stickSlips({ time, travel }: StrokeRecording, low: number, high: number): StickSlip[] {
  const stride = Math.max(1, Math.floor(travel.length / STEPS));
  const steps = Math.floor((travel.length - 1) / stride);
  const moved = Float64Array.from(
    { length: steps },
    (_, i) => (travel[(i + 1) * stride] ?? 0) - (travel[i * stride] ?? 0),
  );
  const step = (i: number) => Math.abs(moved[i] ?? 0);
  const isInside = (i: number) => {
    const share = ((travel[i * stride] ?? 0) - low) / (high - low);
    return share > 0.03 && share < 0.97;
  };
  const inside = Array.from({ length: steps }, (_, i) => i).filter(isInside);
  const usual = inside.reduce((sum, i) => sum + step(i), 0) / Math.max(1, inside.length);
  const events: StickSlip[] = [];
  for (let i = 3; i < steps; i++) {
    if (!isInside(i) || step(i) < JUMP_FASTER * usual) continue;
    if (![1, 2, 3].every((back) => step(i - back) < STANDSTILL * step(i))) continue;
    let to = i + 1;
    while (to < steps && step(to) > JUMP_FASTER * usual) to += 1;
    const from = travel[i * stride] ?? 0;
    const jump = (travel[to * stride] ?? 0) - from;
    if (Math.abs(jump) > JUMP_SHARE * (high - low)) events.push({ time: time[i * stride] ?? 0, from, jump });
    i = to;
  }
  return events;
}
