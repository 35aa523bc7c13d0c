import { z } from 'zod';
import { ok, refuse, type Result } from '../problem';
import { psig, valueIn, type GaugePressure } from '../quantity';
import {
  API_598,
  B16_34,
  CLOSURE_FACTOR,
  GROUP_NAMES,
  LOW_PRESSURE_CLOSURE_PSIG,
  MATERIAL_GROUPS,
  ratingAt100F,
  SHELL_FACTOR,
  SHELL_ROUNDING_PSI,
} from '../standards';
import { choiceField, numberField, quantityField } from './field';
import type { Working, Worked } from './working';

const input = z.strictObject({
  class: numberField({ label: 'Pressure class', example: '600' }, 1, 20000, true).exactOptional(),
  ratedPressure: quantityField('gauge pressure', {
    label: 'Rated pressure at 100 °F',
    example: '1480 psig',
  }).exactOptional(),
  group: choiceField(MATERIAL_GROUPS, { label: 'Body material group' }).exactOptional(),
  code: choiceField(['API 598', 'B16.34'], { label: 'Test standard' }).exactOptional(),
});

export interface TestPressures {
  shell: GaugePressure;
  closureHigh: GaugePressure;
  closureLow: GaugePressure;
  backseat: GaugePressure;
}

/**
 * Test pressures from the rating at 100 °F: shell 1.5 ×, rounded up to the next 25 psi; high-pressure closure and
 * backseat 1.1 ×, rounded up to the psi (in whole numbers: 1.1 × 740 is 814); low-pressure closure 60–100 psig gas.
 * Give a class (with its material group, 1.1 unless said) or a rated pressure. Errors: both or neither; a class
 * outside ASME B16.34. Source: API 598; ASME B16.34 for the ratings.
 * Example: class 300, group 1.1 → 1125, 814, 60, 814 psig.
 */
export const testPressures: Working<typeof input, TestPressures> = {
  id: 'test.pressures',
  title: 'Test pressures',
  asks: ['shell test', 'hydro', 'test pressure', 'backseat', 'closure'],
  meaning: 'The pressures of the shell, closure and backseat tests.',
  input,
  results: {
    shell: 'Shell test',
    closureHigh: 'High-pressure closure test',
    closureLow: 'Low-pressure closure test, least',
    backseat: 'Backseat test',
  },
  source: API_598,
  work: pressures,
};

function pressures(given: z.output<typeof input>): Result<Worked<TestPressures>> {
  if ((given.class === undefined) === (given.ratedPressure === undefined)) {
    return refuse({
      code: 'input.conflict',
      fields: ['class', 'ratedPressure'],
      why: 'Give the class or the rated pressure, one of the two.',
    });
  }
  const group = given.group ?? '1.1';
  const rating: Result<GaugePressure> =
    given.class === undefined ? ok(given.ratedPressure ?? psig(0)) : ratingAt100F(given.class, group);
  if (!rating.ok) return rating;
  const rated = valueIn(rating.value, 'psig');
  const shell = roundedUp(rated, SHELL_FACTOR, SHELL_ROUNDING_PSI);
  const closure = roundedUp(rated, CLOSURE_FACTOR, 1);
  const low = LOW_PRESSURE_CLOSURE_PSIG;
  return ok({
    result: {
      shell: psig(shell),
      closureHigh: psig(closure),
      closureLow: psig(low.low),
      backseat: psig(closure),
    },
    steps: [
      {
        label: 'Rating at 100 °F',
        formula:
          given.class === undefined ? 'as given' : `${B16_34.name}, group ${group} (${GROUP_NAMES[group]})`,
        substituted: given.class === undefined ? '' : `class ${given.class}`,
        result: `${Math.round(rated * 10) / 10} psig`,
      },
      {
        label: 'Shell',
        formula: '1.5 × rating, up to the next 25 psi',
        substituted: `1.5 × ${Math.round(rated)}`,
        result: `${shell} psig`,
      },
      {
        label: 'High-pressure closure and backseat',
        formula: '1.1 × rating, up to the next psi',
        substituted: `1.1 × ${Math.round(rated)}`,
        result: `${closure} psig`,
      },
      {
        label: 'Low-pressure closure, gas',
        formula: `${low.low} to ${low.high} psig`,
        substituted: '80 psig and more also meets ASME B16.34',
        result: `${low.low} psig`,
      },
    ],
    notes: [
      'Water for shell tests: gas stores about a thousand times the energy.',
      ...(group.startsWith('2')
        ? ['Austenitic stainless: test water with no more than 50 ppm chlorides.']
        : []),
    ],
    source: API_598,
  });
}

/** Integer arithmetic in tenths of a psi, so that 1.1 × 740 does not round up to 815. */
function roundedUp(rated: number, factor: { numerator: number; denominator: number }, step: number): number {
  const tenths = Math.round(rated * 10) * factor.numerator;
  const stepTenths = step * 10 * factor.denominator;
  return Math.ceil(tenths / stepTenths) * step;
}
