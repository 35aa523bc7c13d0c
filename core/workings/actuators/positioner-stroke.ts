import { z } from 'zod';
import { leastDeviation, throughEnds } from '../../analysis';
import { inConflict, ok, tooFew, type Result } from '../../problem';
import {
  formatNumber,
  parseQuantity,
  quantity,
  si,
  type Dimension,
  type Quantity,
  type Ratio,
} from '../../quantity';
import { standard } from '../../standards';
import { choiceField, factorField, quantityField, rowsField } from '../frame/field';
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
  travel: quantityField('length', {
    label: 'Rated travel, for travels in mm or in',
    example: '3/4 in',
  }).exactOptional(),
  deadBand: factorField(
    { label: 'Dead band found apart, % of span', example: '0.3 %' },
    0,
    0.5,
  ).exactOptional(),
  action: choiceField(['direct', 'reverse'], { label: 'Action' }).exactOptional(),
});

type Given = z.output<typeof input>;

export interface StrokeTest {
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
 * Errors: fewer than three points; signals not from the start to the end of the range; lengths without a rated
 * travel. Source: IEC 61298-2, ISA-51.1; order of adjustment is common practice.
 * Example: 1 % up at every point → zero error 1 %, span error 0, turn zero down.
 */
export const positionerStroke: Working<typeof input, StrokeTest> = {
  id: 'positioner.stroke',
  title: 'Stroke test of a positioner',
  asks: ['positioner', 'stroke', 'zero', 'span', 'hysteresis', 'linearity', 'calibration', 'dead band'],
  meaning: 'What a stroke test says, and which adjustment to turn which way.',
  input,
  results: {
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
  const points = read.value;
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last) return tooFew('points', 0, LEAST_POINTS, 'a stroke test has several');
  const zero = first.y;
  const span = last.y - first.y - 100;
  const difference = Math.max(...points.map(({ up, down }) => Math.abs(up - down)));
  const deadBand = given.deadBand === undefined ? undefined : given.deadBand * 100;
  const hysteresis = Math.max(0, difference - (deadBand ?? 0));
  const [independent, terminal] = [leastDeviation(points), throughEnds(points)];
  const percent = (value: number): Ratio => quantity('ratio', value, '%');
  return ok({
    result: {
      zeroError: percent(zero),
      spanError: percent(span),
      hysteresis: percent(hysteresis),
      ...(deadBand === undefined ? {} : { deadBand: percent(deadBand) }),
      linearityIndependent: percent(independent.deviation),
      linearityTerminal: percent(terminal.deviation),
      advice: adviceOn(zero, span, hysteresis, independent.deviation),
    },
    steps: [
      line('Zero error', 'mean travel at 0 % − 0', `${formatNumber(first.y, 2)} %`, percent(zero)),
      line(
        'Span error',
        '(travel at 100 % − travel at 0 %) − 100',
        `${formatNumber(last.y, 2)} − ${formatNumber(first.y, 2)} − 100`,
        percent(span),
      ),
      line('Largest up-down difference', 'over all points', `${points.length} points`, percent(difference)),
      line(
        'Hysteresis',
        'difference − dead band',
        deadBand === undefined
          ? 'dead band not found apart'
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
      ...(deadBand === undefined ? ['Without a dead band found apart, hysteresis holds it too.'] : []),
      ...(points.length < 5 ? ['Five points or more are wanted: 0, 25, 50, 75, 100 %.'] : []),
    ],
    source: SOURCE,
  });
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
  const inLength = travels[0]?.dimension === 'length';
  const inAngle = travels[0]?.dimension === 'angle';
  if (inLength && !given.travel)
    return inConflict(['travel'], 'Give the rated travel, to turn lengths into percent.');
  const full = inLength && given.travel ? si(given.travel) : inAngle ? Math.PI / 2 : 1;
  const isPercent = signals[0]?.dimension === 'ratio';
  const values = signals.map((each) => si(each));
  const [low, high] = isPercent ? [0, 1] : [Math.min(...values), Math.max(...values)];
  if (high <= low) return inConflict(['points'], 'All signals are the same: there is no stroke.');
  const share = (each: Quantity) => ((si(each) - low) / (high - low)) * 100;
  const travel = (each: Quantity) => (si(each) / full) * 100;
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
  return ok(points);
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
