import { z } from 'zod';
import { leastDeviation, throughEnds } from '../../analysis';
import { inConflict, ok, outOfRange, tooFew, type Result } from '../../problem';
import {
  formatNumber,
  parseQuantity,
  quantity,
  si,
  valueIn,
  type Dimension,
  type Quantity,
  type Ratio,
  type UnitOf,
} from '../../quantity';
import { standard } from '../../standards';
import { choiceField, eitherField, factorField, rowsField } from '../frame/field';
import { line } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

/** A cell in one of several kinds; a bare number is percent. */
const cell = (dimensions: readonly Dimension[]) =>
  z
    .union([
      z.string().max(40),
      z.number().transform(String),
      z.object({ value: z.number(), unit: z.string() }).transform(({ value, unit }) => `${value} ${unit}`),
    ])
    .transform((text, context): Quantity => {
      if (/^\s*-?[\d.]+\s*$/.test(text)) return quantity('ratio', Number(text), '%');
      const read = dimensions.map((dimension) => parseQuantity(text, dimension)).find((each) => each.ok);
      if (read?.ok) return read.value;
      context.addIssue({
        code: 'custom',
        message: `“${text}” cannot be read; type 25 %, 6 psi, 8 mA or a length`,
      });
      return z.NEVER;
    });

/** The ends at which a stop or the seat holds the travel: they are judged clear of it, at 5 and 95 %. */
const HELD = ['neither end', '0 %', '100 %', 'both ends'] as const;
/** Percent of the signal at which an end is judged that a stop holds. */
const CLEAR = { low: 5, high: 95 };

const input = z.strictObject({
  points: rowsField(
    {
      signal: cell(['ratio', 'gauge pressure', 'current']),
      up: cell(['ratio', 'length', 'angle']),
      down: cell(['ratio', 'length', 'angle']),
    },
    [
      { name: 'signal', label: 'signal', example: '25 %' },
      { name: 'up', label: 'travel going up', example: '24.6 %' },
      { name: 'down', label: 'travel going down', example: '25.3 %' },
    ],
    {
      label: 'Stroke test, 0 to 100 %',
      exampleRows: [
        ['0 %', '0.6 %', '1.2 %'],
        ['25 %', '25 %', '26.4 %'],
        ['50 %', '50.1 %', '51.8 %'],
        ['75 %', '75.8 %', '77 %'],
        ['100 %', '102.2 %', '102.4 %'],
      ],
    },
    201,
  ),
  travel: eitherField(['length', 'angle'], {
    label: 'Rated travel, for travels in mm, in or degrees',
    example: '3/4 in',
  }).exactOptional(),
  signalLow: eitherField(
    ['gauge pressure', 'current'],
    { label: 'Signal at 0 %, for signals in psi or mA', example: '3 psi' },
    'not negative',
  ).exactOptional(),
  signalHigh: eitherField(['gauge pressure', 'current'], {
    label: 'Signal at 100 %',
    example: '15 psi',
  }).exactOptional(),
  deadBand: factorField(
    { label: 'Dead band measured by itself, % of span', example: '0.3 %' },
    0,
    0.5,
  ).exactOptional(),
  action: choiceField(['direct', 'reverse'], { label: 'Action' }).exactOptional(),
  held: choiceField(HELD, { label: 'A stop holds it at' }).exactOptional(),
});

type Given = z.output<typeof input>;

export interface StrokeTest {
  /** The largest error of all points, up and down, with its sign. */
  measuredError: Ratio;
  zeroError: Ratio;
  spanError: Ratio;
  hysteresis: Ratio;
  deadBand?: Ratio;
  linearityIndependent: Ratio;
  linearityTerminal: Ratio;
  advice: string[];
}

const SOURCE = standard('IEC 61298-2, ISA-51.1', 'zero, span, hysteresis, linearity', 'medium');
const LEAST_POINTS = 3;
/** An error this small is not adjusted for, % of span. */
const WORTH_ADJUSTING = 0.5;

/**
 * A stroke test up and down, all as % of span. Zero error = travel at 0 % less 0 (mean of up and down); span error =
 * travel over the range less 100 %; hysteresis = largest up-down difference, less the dead band where it was found
 * apart; independent linearity = largest deviation from the straight line that makes it least; terminal linearity
 * the same from the line through the ends. Advice says which adjustment first and which way.
 * Signals in psi or mA go from the first to the last of a usual range (3–15, 6–30, 3–9, 9–15 psi and in bar or kPa,
 * 4–20, 4–12, 12–20 mA) unless another is given; degrees are over a quarter turn where they go to about one.
 * At an end that a stop holds (`held`) its error is hidden: it is judged at 5 or 95 %, and what lies beyond is shown only.
 * Errors: an end that is held without a point at 5 or 95 %; fewer than three points; signals not from the start to the end of the range, or of no usual one; lengths, or
 * degrees of less than a quarter turn, without a rated travel; a travel that falls as the signal rises without the
 * action reverse; a travel far outside its range. Source: IEC 61298-2, ISA-51.1; order of adjustment is common practice.
 * Example: 1 % up at every point → zero error 1 %, span error 0, turn zero down.
 */
export const positionerStroke: Working<typeof input, StrokeTest> = {
  id: 'positioner.stroke',
  title: 'Stroke test of a positioner',
  asks: ['positioner', 'stroke', 'zero', 'span', 'hysteresis', 'linearity', 'calibration', 'dead band'],
  meaning: 'What a stroke test says, and which adjustment to turn which way.',
  input,
  results: {
    measuredError: 'Largest error',
    zeroError: 'Zero error',
    spanError: 'Span error',
    hysteresis: 'Hysteresis',
    deadBand: 'Dead band',
    linearityIndependent: 'Linearity, best line',
    linearityTerminal: 'Linearity, through the ends',
    advice: 'Do',
  },
  source: SOURCE,
  work: stroke,
};

interface Point {
  x: number;
  up: number;
  down: number;
  y: number;
}

function stroke(given: Given): Result<Worked<StrokeTest>> {
  const read = percentPoints(given);
  if (!read.ok) return read;
  const points = clearOfStops(read.value, given.held);
  const [first, last] = [points[0], points.at(-1)];
  if (first && last && (points.length < LEAST_POINTS || !isAtEnds(first, last, given.held)))
    return inConflict(
      ['held', 'points'],
      'Where a stop holds an end, it is read at 5 or 95 % of the signal.',
    );
  if (!first || !last) return tooFew('points', 0, LEAST_POINTS, 'a stroke test has several');
  const errors = points.flatMap(({ x, up, down }) => [up - x, down - x]);
  const measured = errors.reduce((most, each) => (Math.abs(each) > Math.abs(most) ? each : most), 0);
  const zero = first.y - first.x;
  const span = last.y - first.y - (last.x - first.x);
  const difference = Math.max(...points.map(({ up, down }) => Math.abs(up - down)));
  const deadBand = given.deadBand === undefined ? undefined : given.deadBand * 100;
  const hysteresis = Math.max(0, difference - (deadBand ?? 0));
  const [independent, terminal] = [leastDeviation(points), throughEnds(points)];
  const percent = (value: number): Ratio => quantity('ratio', value, '%');
  return ok({
    result: {
      measuredError: percent(measured),
      zeroError: percent(zero),
      spanError: percent(span),
      hysteresis: percent(hysteresis),
      ...(deadBand === undefined ? {} : { deadBand: percent(deadBand) }),
      linearityIndependent: percent(independent.deviation),
      linearityTerminal: percent(terminal.deviation),
      advice: adviceOn(zero, span, hysteresis, independent.deviation),
    },
    steps: [
      line(
        'Largest error',
        'travel − travel wanted, over all points',
        `${2 * points.length} readings`,
        percent(measured),
      ),
      line(
        'Zero error',
        'mean travel − signal, at its start',
        `${formatNumber(first.y, 2)} − ${formatNumber(first.x, 2)}`,
        percent(zero),
      ),
      line(
        'Span error',
        'travel over the range − the range',
        `${formatNumber(last.y, 2)} − ${formatNumber(first.y, 2)} − ${formatNumber(last.x - first.x, 2)}`,
        percent(span),
      ),
      line('Largest up-down difference', 'over all points', `${points.length} points`, percent(difference)),
      line(
        'Hysteresis',
        'difference − dead band',
        deadBand === undefined
          ? 'dead band not measured by itself'
          : `${formatNumber(difference, 2)} − ${formatNumber(deadBand, 2)}`,
        percent(hysteresis),
      ),
      line(
        'Independent linearity',
        'largest deviation from the best straight line',
        `${formatNumber(independent.slope, 4)} · signal + ${formatNumber(independent.intercept, 2)}`,
        percent(independent.deviation),
      ),
      line(
        'Terminal linearity',
        'largest deviation from the line through the ends',
        '',
        percent(terminal.deviation),
      ),
    ],
    notes: [
      ...(deadBand === undefined ? ['Without a dead band of its own, hysteresis holds it too.'] : []),
      ...(given.held !== undefined && given.held !== 'neither end'
        ? [`A stop holds it at ${given.held}: judged from ${first.x} to ${last.x} %, clear of it.`]
        : []),
      ...(points.length < 5 ? ['Five points or more are wanted: 0, 25, 50, 75, 100 %.'] : []),
    ],
    source: SOURCE,
  });
}

/** Only the points that no stop holds. */
function clearOfStops(points: readonly Point[], held: Given['held']): Point[] {
  const [low, high] = heldEnds(held);
  return points.filter(({ x }) => (!low || x >= CLEAR.low - NEAR) && (!high || x <= CLEAR.high + NEAR));
}

const heldEnds = (held: Given['held']): readonly [low: boolean, high: boolean] => [
  held === '0 %' || held === 'both ends',
  held === '100 %' || held === 'both ends',
];

/** Percent of the signal within which a point is where it should be. */
const NEAR = 0.5;
function isAtEnds(first: Point, last: Point, held: Given['held']): boolean {
  const [low, high] = heldEnds(held);
  return (
    Math.abs(first.x - (low ? CLEAR.low : 0)) <= NEAR && Math.abs(last.x - (high ? CLEAR.high : 100)) <= NEAR
  );
}

/** Signals and travels as percent of their ranges, in order of signal. */
export function percentPoints(given: Given): Result<Point[]> {
  if (given.points.length < LEAST_POINTS)
    return tooFew(
      'points',
      given.points.length,
      LEAST_POINTS,
      'a line and its errors need more; 0, 25, 50, 75, 100 % are wanted',
    );
  const signals = given.points.map(({ signal }) => signal);
  const travels = given.points.flatMap(({ up, down }) => [up, down]);
  if (
    new Set(signals.map(({ dimension }) => dimension)).size > 1 ||
    new Set(travels.map(({ dimension }) => dimension)).size > 1
  )
    return inConflict(['points'], 'Give all signals in one kind and all travels in one kind.');
  const full = fullTravel(given, travels);
  if (!full.ok) return full;
  const range = signalRange(given, signals);
  if (!range.ok) return range;
  const { low, high } = range.value;
  const share = (each: Quantity) => ((si(each) - low) / (high - low)) * 100;
  const travel = (each: Quantity) => (si(each) / full.value) * 100;
  const reverse = given.action === 'reverse';
  const points = given.points
    .map(({ signal, up, down }) => ({
      x: reverse ? 100 - share(signal) : share(signal),
      up: travel(up),
      down: travel(down),
    }))
    .map((point): Point => ({ ...point, y: (point.up + point.down) / 2 }))
    .sort((a, b) => a.x - b.x);
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last || Math.abs(first.x) > 0.5 || Math.abs(last.x - 100) > 0.5)
    return inConflict(['points'], 'The points must go from 0 % to 100 % of the signal.');
  if (last.y < first.y)
    return inConflict(
      ['action'],
      reverse
        ? 'The travel rises with the signal: that is a direct action.'
        : 'The travel falls as the signal rises: say that the action is reverse.',
    );
  const far = points.flatMap(({ up, down }) => [up, down]).find((each) => each < -50 || each > 150);
  if (far !== undefined)
    return outOfRange('points', `${formatNumber(far, 1)} %`, '-50 to 150 %', 'no stem travels so far');
  return ok(points);
}

/** What 100 % of travel is, in SI; 1 where the travels are shares already. */
function fullTravel({ travel }: Given, travels: readonly Quantity[]): Result<number> {
  const dimension = travels[0]?.dimension;
  if (dimension === 'ratio') return ok(1);
  if (travel?.dimension === dimension) return ok(travel ? si(travel) : 1);
  if (dimension === 'angle' && !travel) {
    const degrees = Math.max(...travels.map((each) => valueIn(each, '°')));
    if (Math.abs(degrees - QUARTER_TURN) <= 10) return ok((QUARTER_TURN * Math.PI) / 180);
    return inConflict(['travel'], 'Give the rated rotation: this is not a quarter turn.');
  }
  return inConflict(['travel'], 'Give the rated travel, to turn lengths or degrees into percent.');
}

const QUARTER_TURN = 90;

/** Ranges of one kind of signal, in SI. */
const ranges = <D extends 'gauge pressure' | 'current'>(
  dimension: D,
  unit: UnitOf<D>,
  ...pairs: readonly (readonly [low: number, high: number])[]
) =>
  pairs.map(([low, high]) => ({
    dimension,
    low: si(quantity(dimension, low, unit)),
    high: si(quantity(dimension, high, unit)),
  }));

/** Signal ranges in use, whole and split (common practice; IEC 60381-1, IEC 60382). */
const USUAL_RANGES = [
  ...ranges('gauge pressure', 'psig', [3, 15], [6, 30], [3, 27], [3, 9], [9, 15], [6, 18], [18, 30]),
  ...ranges('gauge pressure', 'bar g', [0.2, 1], [0.4, 2]),
  ...ranges('current', 'mA', [4, 20], [4, 12], [12, 20]),
];

function signalRange(
  { signalLow, signalHigh }: Given,
  signals: readonly Quantity[],
): Result<{ low: number; high: number }> {
  const dimension = signals[0]?.dimension;
  if (dimension === 'ratio') return ok({ low: 0, high: 1 });
  if ((signalLow === undefined) !== (signalHigh === undefined))
    return inConflict(['signalLow', 'signalHigh'], 'Give both ends of the signal range, or neither.');
  if (signalLow && signalHigh) {
    if (signalLow.dimension !== dimension || signalHigh.dimension !== dimension)
      return inConflict(['signalLow', 'signalHigh'], 'Give the range in the unit of the signals.');
    if (si(signalHigh) <= si(signalLow))
      return inConflict(['signalLow', 'signalHigh'], 'The range has no span: give the lower signal first.');
    return ok({ low: si(signalLow), high: si(signalHigh) });
  }
  const values = signals.map((each) => si(each));
  const [least, most] = [Math.min(...values), Math.max(...values)];
  if (most <= least) return inConflict(['points'], 'All signals are the same: there is no stroke.');
  const usual = USUAL_RANGES.find((range) => {
    const near = 0.005 * (range.high - range.low);
    const isHere = Math.abs(least - range.low) <= near && Math.abs(most - range.high) <= near;
    return isHere && range.dimension === dimension;
  });
  return usual
    ? ok(usual)
    : inConflict(
        ['signalLow', 'signalHigh'],
        'The points are not those of a usual signal range: give the signal at 0 and at 100 %.',
      );
}

const amount = (value: number) => `${formatNumber(Math.abs(value), 2)} %`;

/** Zero before span, for span turns about zero; friction before both, for it hides them. */
function adviceOn(zero: number, span: number, hysteresis: number, linearity: number): string[] {
  const advice = [
    ...(hysteresis > 2 * WORTH_ADJUSTING
      ? [
          `Hysteresis ${amount(hysteresis)}: look for packing friction and play in the linkage before adjusting.`,
        ]
      : []),
    ...(Math.abs(zero) > WORTH_ADJUSTING
      ? [
          `Zero ${zero > 0 ? 'down' : 'up'} by ${amount(zero)}: bias spring ${zero > 0 ? 'back' : 'on'}, at the start of the signal.`,
        ]
      : []),
    ...(Math.abs(span) > WORTH_ADJUSTING
      ? [
          `Span ${span > 0 ? 'down' : 'up'} by ${amount(span)}: range spring ${span > 0 ? 'clockwise, less travel for the signal' : 'anticlockwise, more travel for the signal'}; then check zero again.`,
        ]
      : []),
    ...(linearity > 2 * WORTH_ADJUSTING
      ? [
          `Not linear by ${amount(linearity)}: look at the cam, the feedback lever at right angles at mid-travel, the linkage.`,
        ]
      : []),
  ];
  return advice.length > 0 ? advice : ['Leave it: nothing is worth adjusting. Lock zero and span.'];
}
