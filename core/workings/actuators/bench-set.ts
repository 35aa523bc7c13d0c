import { z } from 'zod';
import { inConflict, ok, type Result } from '../../problem';
import {
  formatNumber,
  si,
  type GaugePressure,
  type PressureDifference,
  type Stiffness,
} from '../../quantity';
import { COMMON_PRACTICE, type Source } from '../../standards';
import { quantityField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  area: quantityField('area', { label: 'Diaphragm area', example: '69 in²' }),
  travel: quantityField('length', { label: 'Travel', example: '3/4 in' }),
  springRate: quantityField('stiffness', {
    label: 'Spring rate',
    example: '1104 lbf/in',
    inExample: true,
  }).exactOptional(),
  benchLow: quantityField(
    'gauge pressure',
    { label: 'Bench set, start', example: '3 psig', inExample: true },
    'not negative',
  ).exactOptional(),
  benchHigh: quantityField('gauge pressure', { label: 'Bench set, end', example: '15 psig' }).exactOptional(),
  lead: quantityField('length', { label: 'Lead of the adjuster', example: '1/16 in' }).exactOptional(),
});

type Given = z.output<typeof input>;

export interface BenchSet {
  springRate: Stiffness;
  benchLow: GaugePressure;
  benchHigh: GaugePressure;
  span: PressureDifference;
  perTurn?: PressureDifference;
}

const SOURCE: Source = { ...COMMON_PRACTICE, name: 'Bench set: spring rate × travel / area' };
/** Three figures that differ by more than this were not taken on one spring. */
const AGREE = 0.02;

/**
 * Bench set of a spring and diaphragm out of two of spring rate, start and end: `span = k · travel / A`. With the lead
 * of the adjuster, how far one turn moves both ends: `k · lead / A`.
 * Errors: fewer than two of the three; three that disagree by over 2 %; an end not above its start; a spring that would
 * not be preloaded at its start. Source: statics.
 * Example: 69 in², 3/4 in, 1104 lbf/in, start 3 psig → end 15 psig.
 */
export const actuatorBenchSet: Working<typeof input, BenchSet> = {
  id: 'actuator.bench-set',
  title: 'Bench set and spring',
  asks: ['bench set', 'spring', 'range', 'diaphragm', 'adjuster', 'turn', 'psi per turn'],
  meaning:
    'The bench set a spring gives, the spring a bench set wants, and what a turn of the adjuster does.',
  input,
  results: {
    springRate: 'Spring rate',
    benchLow: 'Bench set, start',
    benchHigh: 'Bench set, end',
    span: 'Span',
    perTurn: 'A turn of the adjuster moves both ends',
  },
  source: SOURCE,
  work: benchSet,
};

function benchSet(given: Given): Result<Worked<BenchSet>> {
  const { area, travel, springRate, benchLow, benchHigh, lead } = given;
  if ([springRate, benchLow, benchHigh].filter((each) => each !== undefined).length < 2)
    return inConflict(
      ['springRate', 'benchLow', 'benchHigh'],
      'Give two of the spring rate, the start and the end of the bench set.',
    );
  if (benchLow && benchHigh && si(benchHigh) <= si(benchLow))
    return inConflict(['benchLow', 'benchHigh'], 'The end of the bench set must be above its start.');
  const perRate = si(travel) / si(area);
  const bySet = benchLow && benchHigh ? (si(benchHigh) - si(benchLow)) / perRate : undefined;
  const rate = springRate ? si(springRate) : (bySet ?? 0);
  if (bySet !== undefined && Math.abs(bySet / rate - 1) > AGREE)
    return inConflict(
      ['springRate', 'benchLow', 'benchHigh'],
      `The bench set wants a spring ${formatNumber(Math.abs(bySet / rate - 1) * 100, 1)} % ${bySet > rate ? 'stiffer' : 'softer'} than this: another spring, or another travel.`,
    );
  const span = bySet === undefined ? rate * perRate : bySet * perRate;
  const low = benchLow ? si(benchLow) : (benchHigh ? si(benchHigh) : 0) - span;
  if (low < -1e-6)
    return inConflict(
      ['benchHigh', 'springRate'],
      'This spring would hang loose at its start: the end of the bench set is less than its span.',
    );
  const sheet = sheetFor(area, travel);
  const gauge = (pascals: number) => sheet.of('gauge pressure', pascals);
  const difference = (pascals: number) => sheet.of('pressure difference', pascals);
  const stiffness = sheet.of('stiffness', rate);
  return ok({
    result: {
      springRate: stiffness,
      benchLow: gauge(Math.max(0, low)),
      benchHigh: gauge(low + span),
      span: difference(span),
      ...(lead ? { perTurn: difference((rate * si(lead)) / si(area)) } : {}),
    },
    steps: [
      line(
        'Span',
        'k · travel / A',
        `${shown(stiffness)} × ${shown(travel)} / ${shown(area)}`,
        difference(span),
      ),
      line('Bench set', 'start to start + span', '', `${shown(gauge(low))} to ${shown(gauge(low + span))}`),
      ...(lead
        ? [
            line(
              'A turn of the adjuster',
              'k · lead / A',
              shown(lead),
              difference((rate * si(lead)) / si(area)),
            ),
          ]
        : []),
    ],
    notes: [
      'The bench set is taken off the valve: no packing, no pressure. On the valve friction widens it.',
      'A turn moves both ends alike; only another spring or another travel changes the span.',
    ],
    source: SOURCE,
  });
}
