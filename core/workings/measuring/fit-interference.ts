import { z } from 'zod';
import { inConflict, ok, type Result } from '../../problem';
import {
  fromSi,
  formatNumber,
  quantity,
  si,
  type Force,
  type Stress,
  type Temperature,
} from '../../quantity';
import { COMMON_PRACTICE, type Source } from '../../standards';
import { amountField, factorField, quantityField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  diameter: quantityField('length', { label: 'Diameter of the fit', example: '2 in' }),
  outside: quantityField('length', { label: 'Outside of the outer part', example: '3 in' }).exactOptional(),
  inside: quantityField(
    'length',
    { label: 'Bore of the inner part', example: '1.5 in' },
    'not negative',
  ).exactOptional(),
  length: quantityField('length', { label: 'Length of the fit', example: '1 in' }),
  interference: quantityField('length', { label: 'Interference, on the diameter', example: '2 thou' }),
  modulus: quantityField('stress', { label: 'Modulus of elasticity', example: '30 Mpsi' }),
  poisson: factorField({ label: 'Poisson’s ratio', example: '0.3' }, 0, 0.5).exactOptional(),
  friction: factorField({ label: 'Friction of the press', example: '0.12' }, 0.01, 1),
  clearance: quantityField(
    'length',
    { label: 'Clearance wanted to slip it in', example: '2 thou' },
    'not negative',
  ).exactOptional(),
  expansion: amountField('thermal expansion', '1/K', {
    label: 'Thermal expansion',
    example: '6.5e-6 /°F',
  }).exactOptional(),
  ambient: quantityField('temperature', { label: 'Ambient', example: '70 °F' }, 'any').exactOptional(),
});

type Given = z.output<typeof input>;

export interface InterferenceFit {
  pressure: Stress;
  pressForce: Force;
  heatTo?: Temperature;
}

const SOURCE: Source = { ...COMMON_PRACTICE, name: 'Press fit of one material (Lamé)' };
const USUAL_POISSON = 0.3;
const USUAL_AMBIENT = quantity('temperature', 20, '°C');

/**
 * A press or shrink fit of two parts of one material: pressure by Lamé, `δ/d = p/E·[(D²+d²)/(D²−d²)+ν + (d²+i²)/(d²−i²)
 * −ν]` (no outside: a thick body; no bore: solid); force to press it, `p·π·d·L·μ`; and how hot the outer part must be to
 * slip over, `ambient + (interference + clearance)/(expansion·d)`, 20 °C unless given.
 * Errors: an outside not over, or a bore not under, the fit; an interference over 1 % of the diameter.
 * Source: Lamé (any text on machine design). Example: 2 in in 3 in, 2 thou, 30 Mpsi, solid → 8 333 psi.
 */
export const fitInterference: Working<typeof input, InterferenceFit> = {
  id: 'fit.interference',
  title: 'Press or shrink fit',
  asks: ['press fit', 'shrink', 'interference', 'seat ring', 'bushing', 'heat to', 'liner'],
  meaning: 'How hard a fit presses, the force to press it together, and how hot it must be to slip in.',
  input,
  results: {
    pressure: 'Pressure in the fit',
    pressForce: 'Force to press it',
    heatTo: 'Heat the outer part to',
  },
  source: SOURCE,
  work: fit,
};

function fit(given: Given): Result<Worked<InterferenceFit>> {
  const [d, interference] = [si(given.diameter), si(given.interference)];
  if (given.outside && si(given.outside) <= d)
    return inConflict(['outside', 'diameter'], 'The outside of the outer part is not more than the fit.');
  if (given.inside && si(given.inside) >= d)
    return inConflict(['inside', 'diameter'], 'The bore of the inner part is not less than the fit.');
  if (interference > MOST_SHARE * d)
    return inConflict(['interference'], 'More than 1 % of the diameter is no fit: a slip of the unit?');
  const nu = given.poisson ?? USUAL_POISSON;
  const outer = given.outside ? (si(given.outside) ** 2 + d ** 2) / (si(given.outside) ** 2 - d ** 2) : 1;
  const bore = given.inside ? si(given.inside) : 0;
  const inner = (d ** 2 + bore ** 2) / (d ** 2 - bore ** 2);
  const pascals = (interference / d) * (si(given.modulus) / (outer + nu + inner - nu));
  const sheet = sheetFor(given.diameter, given.modulus);
  const pressure = sheet.of('stress', pascals);
  const pressForce = sheet.of('force', pascals * Math.PI * d * si(given.length) * given.friction);
  const rise =
    given.expansion &&
    (interference + (given.clearance ? si(given.clearance) : 0)) / (si(given.expansion) * d);
  const heatTo =
    rise === undefined
      ? undefined
      : fromSi('temperature', si(given.ambient ?? USUAL_AMBIENT) + rise, sheet.system === 'US' ? '°F' : '°C');
  return ok({
    result: { pressure, pressForce, ...(heatTo ? { heatTo } : {}) },
    steps: [
      line(
        'Pressure in the fit',
        'δ/d · E / (outer + inner)',
        `${shown(given.interference)} / ${shown(given.diameter)}, ${formatNumber(outer, 3)} + ${formatNumber(inner, 3)}`,
        pressure,
      ),
      line('Force to press it', 'p · π · d · L · μ', `μ ${given.friction}`, pressForce),
      ...(heatTo
        ? [
            line(
              'Heat to',
              'ambient + (interference + clearance) / (expansion · d)',
              `a rise of ${formatNumber(rise ?? 0, 0)} K`,
              heatTo,
            ),
          ]
        : []),
    ],
    notes: [
      'One material in both parts: another has another modulus and grows otherwise.',
      ...(heatTo && si(heatTo) > HOT
        ? ['Hot enough to take the temper or the finish: ask before heating.']
        : []),
      'Hot parts: gloves, tongs, no oil near. Straight in, without a stop half way.',
    ],
    source: SOURCE,
  });
}

const MOST_SHARE = 0.01;
/** Above this hardened parts lose their temper (common practice), K. */
const HOT = 473.15;
