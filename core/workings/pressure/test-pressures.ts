import { z } from 'zod';
import { inConflict, notInTable, ok, type Result } from '../../problem';
import { formatNumber, psig, valueIn, type GaugePressure } from '../../quantity';
import {
  API_598,
  API_6A,
  API_6A_BODY_TESTS,
  API_6A_HOLD_SECONDS,
  API_6A_LOW_GAS_PSIG,
  B16_34,
  CHLORIDES_PPM,
  CLOSURE_FACTOR,
  GAS_SEAT_TEST_PSIG,
  GROUP_NAMES,
  IRON_SHELL_TESTS,
  LOW_PRESSURE_CLOSURE_PSIG,
  MATERIAL_GROUPS,
  MSS_SP_61,
  ratingAt100F,
  SHELL_FACTOR,
  SHELL_ROUNDING_PSI,
} from '../../standards';
import { choiceField, numberField, quantityField, sizeField } from '../frame/field';
import { line, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const IRON = ['cast iron 125', 'cast iron 250', 'ductile iron 150', 'ductile iron 300'] as const;

const input = z.strictObject({
  class: numberField(
    { label: 'Pressure class', example: '600', inExample: true },
    1,
    20000,
    true,
  ).exactOptional(),
  ratedPressure: quantityField('gauge pressure', {
    label: 'Rated pressure at 100 °F',
    example: '1480 psig',
  }).exactOptional(),
  group: choiceField(MATERIAL_GROUPS, { label: 'Body material group' }).exactOptional(),
  code: choiceField(
    ['API 598', 'B16.34', 'MSS SP-61', 'API 6A'],
    { label: 'Test standard' },
    { 'ASME B16.34': 'B16.34' },
  ).exactOptional(),
  iron: choiceField(IRON, { label: 'or an iron body (shell only)' }).exactOptional(),
  size: sizeField({ label: 'Size of the iron body', example: 'NPS 8' }).exactOptional(),
});

type Given = z.output<typeof input>;

export interface TestPressures {
  shell: GaugePressure;
  closureHigh: GaugePressure;
  closureLow: GaugePressure;
  backseat: GaugePressure;
}

/**
 * Test pressures from the rating at 100 °F: shell 1.5 ×, rounded up to the next 25 psi; high-pressure closure and
 * backseat 1.1 ×, rounded up to the psi (in whole numbers: 1.1 × 740 is 814); low-pressure closure 60–100 psig gas
 * (80 and more for ASME B16.34 and MSS SP-61). API 6A: body test from its table, closure at rated pressure, gas at 300.
 * Give a class (with its material group, 1.1 unless said) or a rated pressure. Errors: both or neither; a class
 * outside ASME B16.34; a rated pressure API 6A does not have.
 * Source: API 598; ASME B16.34; MSS SP-61; API 6A. Example: class 300, group 1.1 → 1125, 814, 60, 814 psig.
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

function pressures(given: Given): Result<Worked<TestPressures>> {
  if ([given.class, given.ratedPressure].filter((each) => each !== undefined).length !== 1)
    return inConflict(['class', 'ratedPressure'], 'Give the class or the rated pressure, one of the two.');
  const rating = ratedOf(given);
  if (!rating.ok) return rating;
  if (given.code === 'API 6A') return wellhead(rating.value);
  const rated = valueIn(rating.value, 'psig');
  const shell = shellFor(given, rated);
  const closure = roundedUp(rated, CLOSURE_FACTOR, 1);
  const source = { 'API 598': API_598, 'B16.34': B16_34, 'MSS SP-61': MSS_SP_61 }[given.code ?? 'API 598'];
  const low =
    given.code === undefined || given.code === 'API 598' ? LOW_PRESSURE_CLOSURE_PSIG.low : GAS_SEAT_TEST_PSIG;
  const group = given.group ?? '1.1';
  return ok({
    result: {
      shell: psig(shell),
      closureHigh: psig(closure),
      closureLow: psig(low),
      backseat: psig(closure),
    },
    steps: [
      line(
        'Rating at 100 °F',
        given.class === undefined ? 'as given' : `${B16_34.name}, group ${group} (${GROUP_NAMES[group]})`,
        given.class === undefined ? '' : `class ${given.class}`,
        `${formatNumber(rated, 1)} psig`,
      ),
      given.iron
        ? line('Shell', `${API_598.name}, ${given.iron}`, '', psig(shell))
        : line(
            'Shell',
            '1.5 × rating, up to the next 25 psi',
            `1.5 × ${formatNumber(rated, 1)}`,
            psig(shell),
          ),
      line(
        'High-pressure closure and backseat',
        '1.1 × rating, up to the next psi',
        `1.1 × ${formatNumber(rated, 1)}`,
        psig(closure),
      ),
      line(
        'Low-pressure closure, gas',
        `${low} to ${LOW_PRESSURE_CLOSURE_PSIG.high} psig`,
        '80 psig and more also meets ASME B16.34',
        psig(low),
      ),
    ],
    notes: [
      'Water for shell tests: gas stores about a thousand times the energy.',
      ...(group.startsWith('2')
        ? [`Austenitic stainless: test water with no more than ${CHLORIDES_PPM} ppm chlorides.`]
        : []),
    ],
    source,
  });
}

function ratedOf(given: Given): Result<GaugePressure> {
  if (given.ratedPressure) return ok(given.ratedPressure);
  return given.code === 'API 6A'
    ? ok(psig(given.class ?? 0))
    : ratingAt100F(given.class ?? 0, given.group ?? '1.1');
}

/** An iron body has its own shell test, less above NPS 12. */
function shellFor({ iron, size }: Given, rated: number): number {
  if (iron === undefined) return roundedUp(rated, SHELL_FACTOR, SHELL_ROUNDING_PSI);
  return IRON_SHELL_TESTS[iron][(size?.nps ?? 0) > 12 ? 'above' : 'to12'];
}

/** API 6A: by rated pressure; closure at rated pressure, held three minutes. */
function wellhead(rating: GaugePressure): Result<Worked<TestPressures>> {
  const rated = valueIn(rating, 'psig');
  const row = API_6A_BODY_TESTS.find((each) => Math.abs(each.rated - rated) < 1);
  if (!row)
    return notInTable(
      API_6A.name,
      shown(rating),
      API_6A_BODY_TESTS.map((each) => String(each.rated)).join(', '),
    );
  const at = psig(row.rated);
  return ok({
    result: { shell: psig(row.body), closureHigh: at, closureLow: psig(API_6A_LOW_GAS_PSIG), backseat: at },
    steps: [
      line('Body test', `${API_6A.name}, rated ${row.rated} psi`, 'gate partly open', psig(row.body)),
      line(
        'Seat test',
        'rated pressure, each direction of a bidirectional valve, no visible leak',
        `hold at least ${API_6A_HOLD_SECONDS} s`,
        at,
      ),
      line('Low-pressure gas seat test (3G)', '300 psi ± 10 %, no bubbles', '', psig(API_6A_LOW_GAS_PSIG)),
    ],
    notes: [
      ...(row.note ? [`${row.note}.`] : []),
      'The 21st edition may use 1.5 × throughout: go by the nameplate and its edition.',
    ],
    source: API_6A,
  });
}

/** Integer arithmetic in tenths of a psi, so that 1.1 × 740 does not round up to 815. */
function roundedUp(rated: number, factor: { numerator: number; denominator: number }, step: number): number {
  const tenths = Math.round(rated * 10) * factor.numerator;
  const stepTenths = step * 10 * factor.denominator;
  return Math.ceil(tenths / stepTenths) * step;
}
