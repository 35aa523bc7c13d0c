import { z } from 'zod';
import { ok, type Result } from '../../problem';
import { formatNumber, quantity, si, type Ratio } from '../../quantity';
import { COMMON_PRACTICE, type Source } from '../../standards';
import { factorField, quantityField } from '../frame/field';
import { line, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  breakTorque: quantityField('torque', { label: 'Valve: to break open', example: '60 lbf·ft' }),
  runTorque: quantityField('torque', { label: 'Valve: running', example: '30 lbf·ft' }).exactOptional(),
  endTorque: quantityField('torque', { label: 'Valve: to shut', example: '50 lbf·ft' }).exactOptional(),
  actuatorBreak: quantityField('torque', { label: 'Actuator: at the start', example: '120 lbf·ft' }),
  actuatorRun: quantityField('torque', {
    label: 'Actuator: least while running',
    example: '70 lbf·ft',
  }).exactOptional(),
  actuatorEnd: quantityField('torque', {
    label: 'Actuator: at the end',
    example: '90 lbf·ft',
  }).exactOptional(),
  factor: factorField({ label: 'Safety factor on the valve', example: '1.25' }, 1, 5).exactOptional(),
  stemLimit: quantityField('torque', {
    label: 'Most the stem stands',
    example: '200 lbf·ft',
    inExample: true,
  }).exactOptional(),
});

export interface QuarterTurn {
  margin: Ratio;
  verdict: 'fit' | 'not fit' | 'twists the shaft' | 'ask';
}

const SOURCE: Source = { ...COMMON_PRACTICE, name: 'Torque of a quarter turn, place by place' };

/**
 * A quarter-turn valve against its actuator at each place of the turn; of air stroke and spring stroke the lesser torque
 * is the actuator's. Margin = the least of `actuator / (valve · factor)`, less one, over the places where both are given.
 * Verdict: `not fit` with a margin under nought; `twists the shaft` when the actuator gives more than the stem stands;
 * `ask` when what the stem stands is not known; else `fit`.
 * Errors: none beyond the sign. Source: common practice; the maker's torques and curves.
 * Example: valve 60, actuator 120, factor 1.25 → margin 60 %.
 */
export const quarterTurnTorque: Working<typeof input, QuarterTurn> = {
  id: 'quarter-turn.torque',
  title: 'Quarter turn: valve against actuator',
  asks: [
    'quarter turn',
    'ball',
    'butterfly',
    'plug',
    'torque',
    'actuator',
    'break',
    'spring return',
    'shaft',
  ],
  meaning: 'Whether an actuator turns its ball, plug or disc at every place, and does not twist its stem.',
  input,
  results: { margin: 'Least margin: actuator over valve, less one', verdict: 'Verdict' },
  source: SOURCE,
  work: (given): Result<Worked<QuarterTurn>> => {
    const factor = given.factor ?? 1;
    const places = [
      { name: 'breaking', valve: given.breakTorque, actuator: given.actuatorBreak },
      { name: 'running', valve: given.runTorque, actuator: given.actuatorRun },
      { name: 'at the end', valve: given.endTorque, actuator: given.actuatorEnd },
    ].flatMap(({ name, valve, actuator }) =>
      valve && actuator ? [{ name, valve, actuator, margin: si(actuator) / (si(valve) * factor) - 1 }] : [],
    );
    const margin = Math.min(...places.map((place) => place.margin));
    const most = Math.max(
      ...[given.actuatorBreak, given.actuatorRun, given.actuatorEnd].map((torque) =>
        torque ? si(torque) : 0,
      ),
    );
    return ok({
      result: {
        margin: quantity('ratio', margin * 100, '%'),
        verdict: verdictOn(margin, most, given.stemLimit && si(given.stemLimit)),
      },
      steps: places.map(({ name, valve, actuator, margin: here }) =>
        line(
          `Margin ${name}`,
          'actuator / (valve · factor) − 1',
          `${shown(actuator)} / (${shown(valve)} × ${factor}) − 1`,
          `${formatNumber(here * 100, 1)} %`,
        ),
      ),
      notes: [
        ...(given.stemLimit ? [] : ['Ask the maker what the stem stands: a strong actuator twists it.']),
        'A valve that stood for months breaks harder than its sheet says.',
      ],
      source: SOURCE,
    });
  },
};

function verdictOn(margin: number, most: number, stands: number | undefined): QuarterTurn['verdict'] {
  if (margin < -1e-12) return 'not fit';
  if (stands === undefined) return 'ask';
  return most > stands * (1 + 1e-9) ? 'twists the shaft' : 'fit';
}
