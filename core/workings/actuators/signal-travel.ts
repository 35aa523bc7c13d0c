import { z } from 'zod';
import { inConflict, ok, outOfRange, type Result } from '../../problem';
import { formatNumber, quantity, si, type Quantity, type Ratio } from '../../quantity';
import { COMMON_PRACTICE, type Source } from '../../standards';
import { choiceField, eitherField } from '../frame/field';
import { line, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const signal = (label: string, example: string) =>
  eitherField(['gauge pressure', 'current', 'ratio'], { label, example }, 'not negative');

const input = z.strictObject({
  low: signal('Signal at the start of travel', '3 psi'),
  high: signal('Signal at the end of travel', '15 psi'),
  signal: signal('Signal now', '9 psi'),
  action: choiceField(
    ['direct', 'reverse'],
    { label: 'Action' },
    {
      'direct acting': 'direct',
      'reverse acting': 'reverse',
      'air to open': 'direct',
      'air to close': 'reverse',
    },
  ),
});

export interface SignalTravel {
  travel: Ratio;
}

const SOURCE: Source = { ...COMMON_PRACTICE, name: 'Linear signal range' };

/**
 * Travel for a signal: `(P − P0)/(P1 − P0)`, or the rest of it when the action is reverse. Beyond the range the stem
 * stands on its stop. Errors: signals of different kinds; low and high the same; a signal more than a span outside them.
 * Source: definition of a linear range. Example: 3–15 psi: 6 psi → 25 %, 9 psi → 50 %.
 */
export const signalTravel: Working<typeof input, SignalTravel> = {
  id: 'signal.travel',
  title: 'Travel for a signal',
  asks: ['signal', 'travel', '3-15', '4-20', 'split range', 'percent'],
  meaning: 'Where the stem should stand at this signal.',
  input,
  results: { travel: 'Travel' },
  source: SOURCE,
  work: travelOf,
};

function travelOf(given: z.output<typeof input>): Result<Worked<SignalTravel>> {
  const { low, high, signal: now } = given;
  const kinds = new Set([low, high, now].map((each: Quantity) => each.dimension));
  if (kinds.size > 1)
    return inConflict(
      ['low', 'high', 'signal'],
      'Give the three signals in one kind: pressure, current or percent.',
    );
  const span = si(high) - si(low);
  if (Math.abs(span) < 1e-12)
    return inConflict(['low', 'high'], 'Low and high are the same signal: there is no range.');
  const share = (si(now) - si(low)) / span;
  if (Math.abs(share - 0.5) > 1.5)
    return outOfRange(
      'signal',
      shown(now),
      `within a span of ${shown(low)} to ${shown(high)}`,
      'no controller sends that: a slip of the unit',
    );
  const wanted = given.action === 'direct' ? share : 1 - share;
  const held = Math.min(1, Math.max(0, wanted));
  const travel = quantity('ratio', held * 100, '%');
  return ok({
    result: { travel },
    steps: [
      line(
        'Share of the signal',
        '(P − P0) / (P1 − P0)',
        `(${shown(now)} − ${shown(low)}) / (${shown(high)} − ${shown(low)})`,
        `${formatNumber(share * 100, 2)} %`,
      ),
      line('Travel', given.action === 'direct' ? 'direct: the same' : 'reverse: 100 % − share', '', travel),
    ],
    notes: [
      'Direct: travel rises with the signal, as of a valve that air opens. A direct acting actuator is another thing: air pushes its stem down.',
      ...(held === wanted ? [] : ['The signal is outside its range: the stem stands on its stop.']),
    ],
    source: SOURCE,
  });
}
