import { z } from 'zod';
import { ok, type Result } from '../../problem';
import { formatNumber, quantity, si, type Ratio } from '../../quantity';
import { TURNING_TORQUE, TURNING_TORQUE_LIMITS } from '../../standards';
import { quantityField } from '../frame/field';
import { line, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  now: quantityField('torque', { label: 'Torque to turn it now', example: '44 lbf·ft' }),
  before: quantityField('torque', { label: 'Last time, or by the sheet', example: '40 lbf·ft' }),
});

export interface TurningTorque {
  share: Ratio;
  verdict: 'fit' | 'ask' | 'not fit';
}

/**
 * What turns a quarter-turn valve now against last time or the sheet: up to 125 % it is fit; more, something binds;
 * under 75 %, a seat is worn or its preload lost: `ask`. Errors: none of its own. Source: common practice.
 * Example: 44 lbf·ft now, 40 before → 110 %, fit.
 */
export const turningTorque: Working<typeof input, TurningTorque> = {
  id: 'valve.turning-torque',
  title: 'Turning torque against last time',
  asks: ['torque', 'quarter turn', 'breakaway', 'running', 'stiff', 'binds', 'plug valve', 'ball valve'],
  meaning: 'Whether a quarter-turn valve turns as hard as it should.',
  input,
  results: { share: 'Of what it was', verdict: 'Verdict' },
  source: TURNING_TORQUE,
  work: ({ now, before }): Result<Worked<TurningTorque>> => {
    const share = si(now) / si(before);
    const { most, least } = TURNING_TORQUE_LIMITS;
    const verdict = share > most + 1e-9 ? 'not fit' : share < least - 1e-9 ? 'ask' : 'fit';
    const found = quantity('ratio', share * 100, '%');
    const percent = (value: number) => `${formatNumber(value * 100, 0)} %`;
    return ok({
      result: { share: found, verdict },
      steps: [
        line(
          'Of what it was',
          'now / before',
          `${shown(now)} / ${shown(before)}, ${percent(least)} to ${percent(most)}`,
          found,
        ),
      ],
      notes:
        verdict === 'ask'
          ? ['Easier than it was: a seat worn, or its preload lost. Somebody who may decide says what.']
          : verdict === 'not fit'
            ? ['Something binds: packing too tight, a gland cocked, a seat swollen, a bushing dry.']
            : [],
      source: TURNING_TORQUE,
    });
  },
};
