import { z } from 'zod';
import { inConflict, ok, type Result } from '../../problem';
import { formatNumber, si, valueIn, type Force, type Torque } from '../../quantity';
import { COMMON_PRACTICE, type Source } from '../../standards';
import { factorField, quantityField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  meanDiameter: quantityField('length', { label: 'Mean diameter of the thread', example: '0.9 in' }),
  lead: quantityField('length', { label: 'Lead: pitch × starts', example: '0.2 in' }),
  friction: factorField({ label: 'Friction in the thread', example: '0.15' }, 0, 1),
  threadAngle: quantityField(
    'angle',
    { label: 'Included angle of the thread', example: '29°' },
    'not negative',
  ).exactOptional(),
  thrust: quantityField('force', {
    label: 'Thrust',
    example: '1000 lbf',
    inExample: true,
    oneOf: { of: 'What is known', as: 'thrust' },
  }).exactOptional(),
  torque: quantityField('torque', {
    label: 'Torque',
    example: '10 lbf·ft',
    oneOf: { of: 'What is known', as: 'torque' },
  }).exactOptional(),
  travel: quantityField('length', { label: 'Travel', example: '2 in' }).exactOptional(),
});

export interface StemThrust {
  torque: Torque;
  thrust: Force;
  efficiency: number;
  selfLocking: boolean;
  turns?: number;
}

const SOURCE: Source = { ...COMMON_PRACTICE, name: 'Power screw, raising against its load' };
/** Included angle of an Acme thread, degrees. */
const ACME = 29;

/**
 * Torque on a rising stem for its thrust, or the other way round, raising against the load, without a collar:
 * `T = F·d/2 · (L + π·f·d·sec α)/(π·d − f·L·sec α)`, α half of the thread's included angle (29°, Acme, unless given).
 * Efficiency = F·L/(2π·T); self-locking when it does not run back by itself: `π·f·d·sec α > L`. Turns = travel / lead.
 * Errors: thrust and torque both or neither; a thread that jams. Source: statics (any text on power screws).
 * Example: 1 000 lbf, 0.9 in, 0.2 in, 0.15 → 8.56 lbf·ft.
 */
export const stemThrust: Working<typeof input, StemThrust> = {
  id: 'stem.thrust',
  title: 'Rising stem: torque and thrust',
  asks: ['stem', 'thrust', 'handwheel', 'acme', 'rising stem', 'torque', 'turns', 'self-locking'],
  meaning: 'The torque a stem thread wants for a thrust, or the thrust a torque gives, and the turns.',
  input,
  results: {
    torque: 'Torque on the stem',
    thrust: 'Thrust',
    efficiency: 'Efficiency',
    selfLocking: 'Stays where it is left',
    turns: 'Turns for the travel',
  },
  source: SOURCE,
  work: (given): Result<Worked<StemThrust>> => {
    const { meanDiameter, lead, friction, thrust, torque, travel } = given;
    if ((thrust === undefined) === (torque === undefined))
      return inConflict(['thrust', 'torque'], 'Give the thrust or the torque, one of the two.');
    const half = ((given.threadAngle ? valueIn(given.threadAngle, '°') : ACME) / 2) * (Math.PI / 180);
    const [d, rise, grip] = [si(meanDiameter), si(lead), friction / Math.cos(half)];
    const below = Math.PI * d - grip * rise;
    if (below <= 0 || half >= Math.PI / 2)
      return inConflict(['friction', 'lead'], 'With this friction and lead the thread jams.');
    const perForce = ((d / 2) * (rise + Math.PI * grip * d)) / below;
    const newtons = thrust ? si(thrust) : (torque ? si(torque) : 0) / perForce;
    const sheet = sheetFor(thrust, torque, meanDiameter);
    const [t, f] = [sheet.of('torque', newtons * perForce), sheet.of('force', newtons)];
    const efficiency = rise / (2 * Math.PI * perForce);
    const selfLocking = Math.PI * grip * d > rise;
    const turns = travel && si(travel) / rise;
    return ok({
      result: { torque: t, thrust: f, efficiency, selfLocking, ...(turns === undefined ? {} : { turns }) },
      steps: [
        line(
          'Torque',
          'F · d/2 · (L + π f d sec α) / (π d − f L sec α)',
          `${shown(f)}, d ${shown(meanDiameter)}, L ${shown(lead)}, f ${friction}, α ${formatNumber((half * 180) / Math.PI, 1)}°`,
          t,
        ),
        line('Efficiency', 'F · L / (2π T)', '', `${formatNumber(efficiency * 100, 1)} %`),
        ...(turns === undefined ? [] : [line('Turns', 'travel / lead', '', formatNumber(turns, 2))]),
      ],
      notes: [
        'Thread alone: packing, collar and bearings come on top.',
        ...(selfLocking ? [] : ['It runs back by itself: hold it before the drive comes off.']),
        'A longer lever on a stuck handwheel bends the stem: find why it is stiff.',
      ],
      source: SOURCE,
    });
  },
};
