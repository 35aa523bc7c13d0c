import { z } from 'zod';
import { sensLine, type SensLine } from '../../analysis';
import { inConflict, ok, tooFew, type Result } from '../../problem';
import { formatNumber, ofDimension, valueIn, type Dimension, type Quantity, type Time } from '../../quantity';
import { COMMON_PRACTICE, type Source } from '../../standards';
import { amountField, choiceField, eitherField, rowsField } from '../frame/field';
import { line, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

/** What is measured as it is used up. */
const MEASURED = [
  'length',
  'gauge pressure',
  'torque',
  'force',
  'flow',
  'gas flow',
  'angle',
  'time',
  'ratio',
] as const satisfies readonly Dimension[];
const DIRECTIONS = ['falling', 'rising'] as const;

const input = z.strictObject({
  points: rowsField(
    {
      at: amountField('time', 'd', { label: 'at' }, 'not negative'),
      value: eitherField(MEASURED, { label: 'value' }, 'any'),
    },
    [
      { name: 'at', label: 'at', example: '400 d' },
      { name: 'value', label: 'value', example: '0.052 in' },
    ],
    {
      label: 'As found and as left, by age',
      exampleRows: [
        ['0 d', '0.060 in'],
        ['400 d', '0.0565 in'],
        ['800 d', '0.0525 in'],
        ['1200 d', '0.0485 in'],
        ['1600 d', '0.0455 in'],
      ],
    },
  ),
  limit: eitherField(MEASURED, { label: 'Limit', example: '0.030 in' }, 'any'),
  direction: choiceField(
    DIRECTIONS,
    { label: 'It is', example: 'falling' },
    { down: 'falling', up: 'rising' },
  ),
});

type Verdict = 'meets' | 'not in sight' | 'over limit' | 'too few points';

export interface LifeTrend {
  verdict: Verdict;
  /** In the unit of the limit, for one unit of the first age. */
  slope?: number;
  slopeUnit?: string;
  meets?: Time;
  meetsEarly?: Time;
  meetsLate?: Time | 'not in sight' | 'beyond';
}

const [LEAST_POINTS, LEAST_TIMES] = [3, 3];
/** Times the time covered by the points that a date is said ahead of them. */
const FARTHEST = 3;

const SOURCE: Source = {
  ...COMMON_PRACTICE,
  name: 'Median of slopes with an 80 % band (Sen 1968)',
};

/**
 * When something that is used up meets its limit: the line by the median of all slopes between points at different
 * times, and its 80 % band, whose steeper side meets the limit early and whose flatter side late. Under three points or
 * three times: too few. Over the limit already: that. No date more than three times the time covered ahead.
 * Errors: values of another kind than the limit. Source: Sen 1968; the limit of what is said ahead is common practice.
 * Example: 0, 400, 800, 1200, 1600 d: 0.060, 0.0565, 0.0525, 0.0485, 0.0455 in, limit 0.030 in, falling
 * → −9.271e-6 in/d, meets 3236 d, early 3050, late 3371.
 */
export const lifeTrend: Working<typeof input, LifeTrend> = {
  id: 'life.trend',
  title: 'When it meets its limit',
  asks: ['trend', 'wear rate', 'used up', 'remaining life', 'next due', 'limit', 'how long'],
  meaning: 'When a measure that is used up meets its limit, by how it was found and left until now.',
  input,
  results: {
    verdict: 'Verdict',
    slope: 'Change',
    slopeUnit: 'Change is in',
    meets: 'Meets its limit',
    meetsEarly: 'At the earliest',
    meetsLate: 'At the latest',
  },
  source: SOURCE,
  work: trend,
};

type Given = z.output<typeof input>;

/** As something that this working follows; undefined for what is never used up. */
export const followed = (value: Quantity): Given['limit'] | undefined =>
  MEASURED.map((dimension) => ofDimension(value, dimension)).find((each) => each !== undefined);

function trend({ points, limit, direction }: Given): Result<Worked<LifeTrend>> {
  const first = points[0];
  if (!first) return tooFew('points', 0, 1, 'there is nothing to follow');
  if (points.some(({ value }) => value.dimension !== limit.dimension))
    return inConflict(['points', 'limit'], 'The values are of another kind than the limit.');
  const { dimension, unit } = first.at;
  const read = points.map(({ at, value }) => ({
    x: valueIn(at, unit),
    y: valueIn(value, limit.unit),
  }));
  const times = read.map(({ x }) => x);
  const newest = Math.max(...times);
  const last = read.filter(({ x }) => x === newest).at(-1)?.y ?? NaN;
  const isOver = direction === 'falling' ? last < limit.value : last > limit.value;
  const found = sensLine(read);
  const slopeUnit = `${limit.unit}/${unit}`;
  const answer = (result: LifeTrend, ...notes: string[]): Result<Worked<LifeTrend>> =>
    ok({ result, steps: found ? stepsOf(found, limit, slopeUnit) : [], notes, source: SOURCE });
  // No measure is known to more than four figures.
  const rate = found ? { slope: Number(found.slope.toPrecision(4)), slopeUnit } : {};
  if (isOver) return answer({ verdict: 'over limit', ...rate }, 'The last reading is past its limit.');
  if (read.length < LEAST_POINTS || new Set(times).size < LEAST_TIMES || !found)
    return answer(
      { verdict: 'too few points' },
      `A date wants ${LEAST_POINTS} readings at ${LEAST_TIMES} times; these are ${read.length} at ${new Set(times).size}.`,
    );
  const [steep, flat] = direction === 'falling' ? [found.low, found.high] : [found.high, found.low];
  const farthest = newest + FARTHEST * (newest - Math.min(...times));
  const dateOf = (by: { slope: number; intercept: number }): number | 'not in sight' | 'beyond' => {
    if (direction === 'falling' ? by.slope >= 0 : by.slope <= 0) return 'not in sight';
    const at = (limit.value - by.intercept) / by.slope;
    return at > farthest ? 'beyond' : at;
  };
  const time = (at: number): Time => ({ dimension, value: at, unit });
  const [meets, early, late] = [dateOf(found), dateOf(steep), dateOf(flat)];
  const earliest = typeof early === 'number' ? { meetsEarly: time(early) } : {};
  const latest = { meetsLate: typeof late === 'number' ? time(late) : late };
  if (typeof meets === 'number')
    return answer({ verdict: 'meets', ...rate, meets: time(meets), ...earliest, ...latest });
  return answer(
    { verdict: 'not in sight', ...rate, ...earliest, ...latest },
    meets === 'beyond'
      ? `It would meet its limit more than ${FARTHEST} times as far ahead as these readings cover: no date is said.`
      : 'It does not go towards its limit.',
  );
}

function stepsOf({ slope, intercept, low, high }: SensLine, limit: Quantity, slopeUnit: string) {
  const rate = (value: number) => `${Number(value.toPrecision(4))} ${slopeUnit}`;
  return [
    line(
      'Change',
      'median of the slopes between points at different times',
      `80 % band ${rate(low.slope)} to ${rate(high.slope)}`,
      rate(slope),
    ),
    line('At age 0', 'median of value − change × age', '', `${formatNumber(intercept, 4)} ${limit.unit}`),
    line(
      'Meets',
      '(limit − at age 0) / change',
      shown(limit),
      `${Number(((limit.value - intercept) / slope).toPrecision(5))}`,
    ),
  ];
}
