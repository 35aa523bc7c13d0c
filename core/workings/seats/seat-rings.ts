import { z } from 'zod';
import { ok, type Result } from '../../problem';
import { si, type Length } from '../../quantity';
import { SEAT_RINGS } from '../../standards';
import { choiceField, quantityField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

export const PLUG_COMES_OUT = ['bonnet', 'blind head'] as const;

const input = z.strictObject({
  upper: quantityField('length', { label: 'Bore of the upper ring', example: '4.06 in' }),
  lower: quantityField('length', { label: 'Bore of the lower ring', example: '4 in' }),
  opening: choiceField(PLUG_COMES_OUT, { label: 'The plug comes out through the' }),
});

export interface SeatRings {
  larger: 'upper' | 'lower' | 'neither';
  difference: Length;
  verdict: 'fit' | 'ask';
}

/**
 * Where the two rings of a double seat stand: the larger is next to the opening that the plug comes out of, bonnet side
 * (upper) or blind-head side (lower), for the plug passes through it. `ask` where they are found the other way round, or
 * alike. Errors: none of its own. Source: common practice. Example: 4.06 upper, 4 in lower, bonnet → upper, fit.
 */
export const seatRings: Working<typeof input, SeatRings> = {
  id: 'seat.rings',
  title: 'Seat rings of a double seat: which stands where',
  asks: ['double seat', 'seat ring', 'upper', 'lower', 'larger', 'swapped', 'which ring'],
  meaning: 'Which of the two rings is the larger, and whether it stands where the plug comes out.',
  input,
  results: { larger: 'The larger ring', difference: 'Larger by', verdict: 'Verdict' },
  source: SEAT_RINGS,
  work: ({ upper, lower, opening }): Result<Worked<SeatRings>> => {
    const by = si(upper) - si(lower);
    const larger = Math.abs(by) < 1e-9 ? 'neither' : by > 0 ? 'upper' : 'lower';
    const wanted = opening === 'bonnet' ? 'upper' : 'lower';
    const difference = sheetFor(upper, lower).of('length', Math.abs(by), { US: 'thou', SI: 'mm' });
    const isSo = larger === wanted;
    return ok({
      result: { larger, difference, verdict: isSo ? 'fit' : 'ask' },
      steps: [
        line('The larger', 'upper − lower', `${shown(upper)} − ${shown(lower)}`, difference),
        line('It stands next to the opening', `the plug comes out through the ${opening}`, wanted, larger),
      ],
      notes: isSo
        ? ['Each ring goes back to its own side: the plug passes through the larger one only.']
        : [
            'Measured the wrong way round, or fitted so before: look how the plug came out before anything is fitted.',
          ],
      source: SEAT_RINGS,
    });
  },
};
