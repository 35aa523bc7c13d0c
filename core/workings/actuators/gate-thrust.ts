import { z } from 'zod';
import { ok, type Result } from '../../problem';
import { si, type Force } from '../../quantity';
import { COMMON_PRACTICE, type Source } from '../../standards';
import { factorField, quantityField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  seatDiameter: quantityField('length', { label: 'Mean seat diameter', example: '5.5 in' }),
  difference: quantityField(
    'pressure difference',
    { label: 'Difference across it', example: '300 psi' },
    'not negative',
  ),
  valveFactor: factorField({ label: 'Valve factor', example: '0.4' }, 0, 2),
  stemDiameter: quantityField('length', { label: 'Stem diameter', example: '1 1/4 in' }),
  pressure: quantityField(
    'gauge pressure',
    { label: 'Pressure inside', example: '300 psig' },
    'not negative',
  ),
  packingFriction: quantityField(
    'force',
    { label: 'Packing friction', example: '500 lbf' },
    'not negative',
  ).exactOptional(),
});

export interface GateThrust {
  closing: Force;
  opening: Force;
  stemPiston: Force;
}

const SOURCE: Source = {
  ...COMMON_PRACTICE,
  name: 'Thrust of a gate: valve factor × difference × seat area',
};

/**
 * Thrust on the stem of a gate: closing = `VF·ΔP·πd²/4 + P·A_stem + friction`, opening = `VF·ΔP·πd²/4 − P·A_stem +
 * friction`: pressure pushes the stem out, which resists closing and helps opening. The first pull that unwedges it is
 * not in it. Errors: none beyond the sign. Source: statics; valve factors by test, 0.2 to 0.5 usual.
 * Example: 5.5 in, 300 psi, 0.4, stem 1 1/4 in, 500 lbf → closing 3 719 lbf.
 */
export const gateThrust: Working<typeof input, GateThrust> = {
  id: 'gate.thrust',
  title: 'Thrust of a gate valve',
  asks: ['gate', 'thrust', 'valve factor', 'wedge', 'stem piston', 'will it close', 'actuator'],
  meaning: 'How hard the stem of a gate must be pushed to close it, and pulled to open it.',
  input,
  results: { closing: 'Thrust to close', opening: 'Thrust to open', stemPiston: 'Pressure on the stem' },
  source: SOURCE,
  work: (given): Result<Worked<GateThrust>> => {
    const sheet = sheetFor(given.seatDiameter, given.pressure);
    const force = (newtons: number) => sheet.of('force', newtons);
    const drag = given.valveFactor * si(given.difference) * (Math.PI / 4) * si(given.seatDiameter) ** 2;
    const piston = si(given.pressure) * (Math.PI / 4) * si(given.stemDiameter) ** 2;
    const friction = given.packingFriction ? si(given.packingFriction) : 0;
    const [closing, opening] = [force(drag + piston + friction), force(drag - piston + friction)];
    return ok({
      result: { closing, opening, stemPiston: force(piston) },
      steps: [
        line(
          'Drag of the gate',
          'VF · ΔP · π d² / 4',
          `${given.valveFactor} × ${shown(given.difference)} × π/4 × ${shown(given.seatDiameter)}²`,
          force(drag),
        ),
        line(
          'Pressure on the stem',
          'P · π d² / 4',
          `${shown(given.pressure)}, ${shown(given.stemDiameter)}`,
          force(piston),
        ),
        line('To close', 'drag + stem + friction', '', closing),
        line('To open', 'drag − stem + friction', '', opening),
      ],
      notes: [
        'The first pull that unwedges it is not in it, and may be more than all of this.',
        ...(opening.value < 0 ? ['Pressure alone pushes it open: the drive must hold it.'] : []),
      ],
      source: SOURCE,
    });
  },
};
