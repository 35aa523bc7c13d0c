import { z } from 'zod';
import { inConflict, ok, type Result } from '../../problem';
import { formatNumber } from '../../quantity';
import { IEC_60534_2_1 } from '../../standards';
import { factorField } from '../frame/field';
import { line } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';
import { absolute, fallOf, pressureAt } from './flow-coefficient';

const input = z.strictObject({
  inletPressure: pressureAt('Inlet pressure', '100 psig'),
  outletPressure: pressureAt('Outlet pressure', '20 psig'),
  vapourPressure: pressureAt('Vapour pressure', '0.5 psia'),
  recovery: factorField({ label: 'Pressure recovery factor FL', example: '0.9' }, 0.2, 1).exactOptional(),
  criticalPressure: pressureAt('Critical pressure', '3,208 psia').exactOptional(),
});

export interface Cavitation {
  sigma: number;
  xF: number;
  verdict?: 'choked' | 'not choked';
}

/**
 * Cavitation index of a liquid through a valve: `σ = (P1 − Pv)/(P1 − P2)` and its inverse `xF`. Choked where the
 * difference passes `FL²·(P1 − FF·Pv)`, FF from the critical pressure (1 where it is not given, so that xF ≥ FL²).
 * Verdict: `choked` or `not choked`; none without FL. Pressures are absolute; gauge is turned.
 * Errors: an outlet not below the inlet; a vapour pressure not below the inlet.
 * Source: IEC 60534-2-1; σ as in ISA-RP75.23. Example: 100 to 20 psig, 0.5 psia → σ 1.43.
 */
export const flowCavitation: Working<typeof input, Cavitation> = {
  id: 'flow.cavitation',
  title: 'Cavitation index',
  asks: ['cavitation', 'sigma', 'choked', 'flashing', 'noise', 'pitted', 'gravel'],
  meaning: 'How near a liquid is to boiling in the valve, and whether it is choked.',
  input,
  results: { sigma: 'σ = (P1 − Pv)/(P1 − P2)', xF: 'xF = 1/σ', verdict: 'Verdict' },
  source: IEC_60534_2_1,
  work: (given): Result<Worked<Cavitation>> => {
    const fall = fallOf(given.inletPressure, given.outletPressure);
    if (!fall.ok) return fall;
    const { inlet, outlet } = fall.value;
    const vapour = absolute(given.vapourPressure);
    if (vapour >= inlet)
      return inConflict(
        ['vapourPressure'],
        'The vapour pressure is not below the inlet: it boils before the valve.',
      );
    const [sigma, xF] = [(inlet - vapour) / (inlet - outlet), (inlet - outlet) / (inlet - vapour)];
    const factor = given.criticalPressure
      ? 0.96 - 0.28 * Math.sqrt(vapour / absolute(given.criticalPressure))
      : 1;
    const limit = given.recovery && (given.recovery ** 2 * (inlet - factor * vapour)) / (inlet - vapour);
    const verdict = limit === undefined ? undefined : xF >= limit * (1 - 1e-12) ? 'choked' : 'not choked';
    return ok({
      result: { sigma, xF, ...(verdict ? { verdict } : {}) },
      steps: [
        line('σ', '(P1 − Pv) / (P1 − P2)', '', formatNumber(sigma, 3)),
        line('xF', '1 / σ', '', formatNumber(xF, 3)),
        ...(limit === undefined
          ? []
          : [
              line(
                'Chokes at xF',
                given.criticalPressure ? 'FL² (P1 − FF Pv) / (P1 − Pv)' : 'FL²',
                `FL ${given.recovery}`,
                formatNumber(limit, 3),
              ),
            ]),
      ],
      notes: [
        ...(outlet < vapour
          ? ['The outlet is below the vapour pressure: it flashes, and stays vapour.']
          : []),
        ...(verdict === undefined ? ['Give the FL of the valve to tell whether it is choked.'] : []),
        'Damage begins before choking: pitted trim and a sound of gravel are signs, the maker’s index the limit.',
      ],
      source: IEC_60534_2_1,
    });
  },
};
