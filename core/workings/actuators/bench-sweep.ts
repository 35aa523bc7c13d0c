import { z } from 'zod';
import { inConflict, ok, type Result } from '../../problem';
import {
  formatNumber,
  quantity,
  si,
  valueIn,
  type Angle,
  type Force,
  type GaugePressure,
  type PressureDifference,
} from '../../quantity';
import { BENCH_ENDS, COMMON_PRACTICE, type Source } from '../../standards';
import { quantityField } from '../frame/field';
import { line, sheetFor, shown, type Sheet } from '../frame/sheet';
import type { Step, Working, Worked } from '../frame/working';

const end = (label: string, example: string) =>
  quantityField('gauge pressure', { label, example }, 'not negative');

const input = z.strictObject({
  startsUp: end('Rising: travel starts', '4 psig'),
  endsUp: end('Rising: travel ends', '16 psig'),
  endsDown: end('Falling: it starts back', '15 psig'),
  startsDown: end('Falling: it is back', '3 psig'),
  benchLow: quantityField(
    'gauge pressure',
    { label: 'Wanted start', example: '3 psig', inExample: true },
    'not negative',
  ).exactOptional(),
  benchHigh: quantityField('gauge pressure', {
    label: 'Wanted end',
    example: '15 psig',
    inExample: true,
  }).exactOptional(),
  area: quantityField('area', {
    label: 'Diaphragm area',
    example: '69 in²',
    inExample: true,
  }).exactOptional(),
  travel: quantityField('length', { label: 'Travel', example: '3/4 in', inExample: true }).exactOptional(),
  lead: quantityField('length', {
    label: 'Lead of the adjuster',
    example: '1/16 in',
    inExample: true,
  }).exactOptional(),
});

type Given = z.output<typeof input>;

export interface BenchSweep {
  low: GaugePressure;
  high: GaugePressure;
  span: PressureDifference;
  friction: PressureDifference;
  frictionForce?: Force;
  /** Turns of the adjuster, those that press the spring positive. */
  turn?: Angle;
  verdict: 'fit' | 'ask' | 'not fit' | 'no limit given';
}

const SOURCE: Source = { ...COMMON_PRACTICE, name: 'Bench set: the mean of both ways' };

/** How far an end may be off where it is wanted at `low` and `high`: 5 % of the span or half a psi, whichever is more. */
export function benchWithin(low: GaugePressure, high: GaugePressure): PressureDifference {
  const span = valueIn(high, 'psig') - valueIn(low, 'psig');
  return quantity('pressure difference', Math.max(BENCH_ENDS.share * span, BENCH_ENDS.leastPsi), 'psi');
}

/**
 * A bench set read by a sweep up and down: each end is the mean of what it was rising and falling, half their difference
 * is friction, times the area its force. Against a wanted bench set: `fit` where both ends are within 5 % of its span or
 * half a psi; `ask` where the adjuster brings them there, both alike: turns = (wanted − read) / span · travel / lead;
 * `not fit` where the span is another one, which no adjuster cures: another spring, area or travel.
 * Errors: an end not above its start; one of two wanted ends alone. Source: common practice.
 * Example: 4 and 16 rising, 15 and 3 falling, 69 in² → 3.5 to 15.5 psig, 0.5 psi or 34.5 lbf of friction.
 */
export const actuatorBenchSweep: Working<typeof input, BenchSweep> = {
  id: 'actuator.bench-sweep',
  title: 'Bench set read both ways',
  asks: ['bench set', 'sweep', 'rising', 'falling', 'friction', 'adjuster', 'spring', 'start of travel'],
  meaning:
    'The bench set of an actuator out of what was read rising and falling, its friction, and how to turn.',
  input,
  results: {
    low: 'Bench set, start',
    high: 'Bench set, end',
    span: 'Span',
    friction: 'Friction, on the gauge',
    frictionForce: 'Friction',
    turn: 'Turns of the adjuster that press the spring',
    verdict: 'Verdict',
  },
  source: SOURCE,
  work: sweep,
};

function sweep(given: Given): Result<Worked<BenchSweep>> {
  const { startsUp, endsUp, endsDown, startsDown, benchLow, benchHigh, area } = given;
  const low = (si(startsUp) + si(startsDown)) / 2;
  const high = (si(endsUp) + si(endsDown)) / 2;
  if (high <= low)
    return inConflict(
      ['startsUp', 'endsUp'],
      'The end of the travel must take more pressure than its start.',
    );
  if ((benchLow === undefined) !== (benchHigh === undefined))
    return inConflict(['benchLow', 'benchHigh'], 'A bench set is wanted with both its ends.');
  const friction = Math.abs(si(startsUp) - si(startsDown) + si(endsUp) - si(endsDown)) / 4;
  const sheet = sheetFor(startsUp, area);
  const gauge = (pascals: number) => sheet.of('gauge pressure', pascals);
  const difference = (pascals: number) => sheet.of('pressure difference', pascals);
  const wanted = benchLow && benchHigh && { low: benchLow, high: benchHigh };
  const judged = wanted && against(wanted, { low, high }, given, sheet);
  return ok({
    result: {
      low: gauge(low),
      high: gauge(high),
      span: difference(high - low),
      friction: difference(friction),
      ...(area ? { frictionForce: sheet.of('force', friction * si(area)) } : {}),
      ...(judged?.turn ? { turn: judged.turn } : {}),
      verdict: judged?.verdict ?? 'no limit given',
    },
    steps: [
      line('Start', '(rising + falling) / 2', `(${shown(startsUp)} + ${shown(startsDown)}) / 2`, gauge(low)),
      line('End', '(rising + falling) / 2', `(${shown(endsUp)} + ${shown(endsDown)}) / 2`, gauge(high)),
      line('Friction', 'half of what both ways differ', '', difference(friction)),
      ...(area
        ? [line('Its force', 'friction × A', `× ${shown(area)}`, sheet.of('force', friction * si(area)))]
        : []),
      ...(judged?.steps ?? []),
    ],
    notes: [...(judged?.notes ?? []), 'Read on the bench, or with the valve empty and its packing slack.'],
    source: SOURCE,
  });
}

interface Ends<P> {
  readonly low: P;
  readonly high: P;
}
interface Against extends Pick<BenchSweep, 'verdict' | 'turn'> {
  readonly steps: readonly Step[];
  readonly notes: readonly string[];
}

function against(wanted: Ends<GaugePressure>, read: Ends<number>, given: Given, sheet: Sheet): Against {
  const within = si(benchWithin(wanted.low, wanted.high));
  const offs = [read.low - si(wanted.low), read.high - si(wanted.high)] as const;
  const span = si(wanted.high) - si(wanted.low);
  const spanOff = read.high - read.low - span;
  const steps = [
    line(
      'Off by',
      'read − wanted',
      `wanted ${shown(wanted.low)} to ${shown(wanted.high)}`,
      offs.map((off) => shown(sheet.of('pressure difference', off))).join(' and '),
    ),
  ];
  const slack = 1e-6 * span;
  if (offs.every((off) => Math.abs(off) <= within + slack))
    return { verdict: 'fit', steps, notes: ['Both ends are within their limit.'] };
  // Two ends that may each be off by so much differ by no more than twice that.
  if (Math.abs(spanOff) > 2 * within + slack)
    return {
      verdict: 'not fit',
      steps: [...steps, line('Span off by', '', '', sheet.of('pressure difference', spanOff))],
      notes: [
        'The adjuster moves both ends alike, never the span: this is another spring, another area, or travel that stops short.',
      ],
    };
  const by = -(offs[0] + offs[1]) / 2;
  const { travel, lead } = given;
  if (!travel || !lead)
    return {
      verdict: 'ask',
      steps,
      notes: [`The adjuster ${by > 0 ? 'in' : 'out'}: pressed more, the spring raises both ends.`],
    };
  const turns = ((by / span) * si(travel)) / si(lead);
  return {
    verdict: 'ask',
    turn: quantity('angle', turns, 'turn'),
    steps: [
      ...steps,
      line(
        'Turns',
        '(wanted − read) / span · travel / lead',
        `${shown(sheet.of('pressure difference', by))} · ${shown(travel)} / ${shown(lead)}`,
        `${formatNumber(turns, 2)} turns`,
      ),
    ],
    notes: [`${by > 0 ? 'Pressing' : 'Easing'} the spring; which way that is, the model says.`],
  };
}
