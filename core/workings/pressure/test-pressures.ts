import { z } from 'zod';
import { inConflict, notInTable, ok, type Result } from '../../problem';
import { formatNumber, psig, quantity, systemOf, valueIn, type GaugePressure } from '../../quantity';
import {
  API_598,
  API_6A,
  API_6A_BODY_TESTS,
  API_6A_HOLD_SECONDS,
  API_6A_LARGE_BORE,
  API_6A_LOW_GAS_PSIG,
  B16_34,
  CHLORIDES_PPM,
  CLOSURE_FACTOR,
  GAS_SEAT_TEST_PSIG,
  GROUP_NAMES,
  IRON_BODIES,
  IRON_PRESSURES,
  LOW_PRESSURE_CLOSURE_PSIG,
  MATERIAL_GROUPS,
  MSS_SP_61,
  ratingAt100F,
  SHELL_FACTOR,
  SHELL_ROUNDING_PSI,
  type IronBody,
} from '../../standards';
import { choiceField, numberField, quantityField, sizeField } from '../frame/field';
import { line, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

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
  iron: choiceField(IRON_BODIES, { label: 'or an iron body' }).exactOptional(),
  size: sizeField({ label: 'Size (cast iron, API 6A)', example: 'NPS 8' }).exactOptional(),
});

type Given = z.output<typeof input>;

export interface TestPressures {
  shell: GaugePressure;
  closureHigh: GaugePressure;
  closureLow: GaugePressure;
  backseat: GaugePressure;
}

/**
 * Test pressures from the rating at 100 °F: shell 1.5 ×, rounded up to the next 25 psi (1 bar for a rating in bar);
 * high-pressure closure and backseat 1.1 ×, rounded up to the psi (0.1 bar; in whole numbers: 1.1 × 740 is 814); low-pressure closure 60–100 psig gas
 * (80 and more for ASME B16.34 and MSS SP-61). API 6A: body test from its table, closure at rated pressure, gas at 300.
 * Give a class (with its material group, 1.1 unless said), a rated pressure, or an iron body, which has its own ratings
 * (ASME B16.1, B16.42) and shell tests, cast iron by its size; a class given beside the iron is not looked at.
 * Errors: none of them, or class and rated pressure both; cast iron without a size; a class outside ASME B16.34; a
 * rated pressure API 6A does not have.
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
  if (given.iron !== undefined) return ofIron(given.iron, given);
  if ([given.class, given.ratedPressure].filter((each) => each !== undefined).length !== 1)
    return inConflict(['class', 'ratedPressure'], 'Give the class or the rated pressure, one of the two.');
  const rating = ratedOf(given);
  if (!rating.ok) return rating;
  if (given.code === 'API 6A') return wellhead(rating.value, given);
  const inUnit = given.ratedPressure && systemOf(given.ratedPressure) === 'SI' ? BY_BAR : BY_PSI;
  const { unit, of } = inUnit;
  const rated = valueIn(rating.value, unit);
  const shell = of(roundedUp(rated, SHELL_FACTOR, inUnit.shellTo));
  const closure = of(roundedUp(rated, CLOSURE_FACTOR, inUnit.closureTo));
  const source = { 'API 598': API_598, 'B16.34': B16_34, 'MSS SP-61': MSS_SP_61 }[given.code ?? 'API 598'];
  const low = of(given.code === undefined || given.code === 'API 598' ? inUnit.low : inUnit.gas);
  const group = given.group ?? '1.1';
  return ok({
    result: {
      shell,
      closureHigh: closure,
      closureLow: low,
      backseat: closure,
    },
    steps: [
      line(
        'Rating at 100 °F',
        given.class === undefined ? 'as given' : `${B16_34.name}, group ${group} (${GROUP_NAMES[group]})`,
        given.class === undefined ? '' : `class ${given.class}`,
        `${formatNumber(rated, 1)} ${unit}`,
      ),
      line(
        'Shell',
        `1.5 × rating, up to the next ${inUnit.shellStep}`,
        `1.5 × ${formatNumber(rated, 1)}`,
        shell,
      ),
      line(
        'High-pressure closure and backseat',
        `1.1 × rating, up to the next ${inUnit.closureStep}`,
        `1.1 × ${formatNumber(rated, 1)}`,
        closure,
      ),
      line(
        'Low-pressure closure, gas',
        `${shown(low)} to ${inUnit.high} ${unit}`,
        `${inUnit.gas} ${unit} and more also meets ASME B16.34`,
        low,
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

/** How a test pressure is rounded and said: by the system that the rating was given in (ASME B16.34, API 598). */
const BY_PSI = {
  unit: 'psig',
  of: psig,
  shellTo: SHELL_ROUNDING_PSI,
  shellStep: '25 psi',
  closureTo: 1,
  closureStep: 'psi',
  low: LOW_PRESSURE_CLOSURE_PSIG.low,
  gas: GAS_SEAT_TEST_PSIG,
  high: LOW_PRESSURE_CLOSURE_PSIG.high,
} as const;
const BY_BAR = {
  unit: 'bar g',
  of: (value: number): GaugePressure => quantity('gauge pressure', value, 'bar g'),
  shellTo: 1,
  shellStep: 'bar',
  closureTo: 0.1,
  closureStep: 'tenth of a bar',
  low: 4,
  gas: 5.5,
  high: 7,
} as const;

function ratedOf(given: Given): Result<GaugePressure> {
  if (given.ratedPressure) return ok(given.ratedPressure);
  return given.code === 'API 6A'
    ? ok(psig(given.class ?? 0))
    : ratingAt100F(given.class ?? 0, given.group ?? '1.1');
}

/** Iron has its own ratings and shell tests; those of cast iron are less above NPS 12. */
function ofIron(iron: IronBody, { size, code }: Given): Result<Worked<TestPressures>> {
  const { rating, shell } = IRON_PRESSURES[iron];
  if (!size && rating.to12 !== rating.above)
    return inConflict(['iron', 'size'], `Give the size: above NPS 12 ${iron} has less.`);
  const row = (size?.nps ?? 0) > 12 ? 'above' : 'to12';
  const rated = rating[row];
  const closure = psig(roundedUp(rated, CLOSURE_FACTOR, 1));
  const low = psig(
    code === undefined || code === 'API 598' ? LOW_PRESSURE_CLOSURE_PSIG.low : GAS_SEAT_TEST_PSIG,
  );
  return ok({
    result: { shell: psig(shell[row]), closureHigh: closure, closureLow: low, backseat: closure },
    steps: [
      line(
        'Rating, ambient',
        iron.startsWith('cast') ? 'ASME B16.1' : 'ASME B16.42',
        row === 'above' ? `${iron}, above NPS 12` : iron,
        psig(rated),
      ),
      line('Shell', `${API_598.name}, ${iron}`, '', psig(shell[row])),
      line(
        'High-pressure closure and backseat',
        '1.1 × rating, up to the next psi',
        `1.1 × ${rated}`,
        closure,
      ),
      line('Low-pressure closure, gas', `to ${LOW_PRESSURE_CLOSURE_PSIG.high} psig`, '', low),
    ],
    notes: [
      'Water for shell tests: gas stores about a thousand times the energy.',
      'Cast iron breaks without giving first: raise the pressure slowly, nobody beside it.',
    ],
    source: API_598,
  });
}

/** API 6A: by rated pressure; closure at rated pressure, held three minutes. */
function wellhead(rating: GaugePressure, { size }: Given): Result<Worked<TestPressures>> {
  const rated = valueIn(rating, 'psig');
  // 34.5 MPa and 345 bar are 5000 psi as it is stamped.
  const row = API_6A_BODY_TESTS.find((each) => Math.abs(each.rated - rated) < 0.005 * each.rated);
  if (!row)
    return notInTable(
      API_6A.name,
      shown(rating),
      API_6A_BODY_TESTS.map((each) => String(each.rated)).join(', '),
    );
  const at = psig(row.rated);
  const body = psig(row.large !== undefined && (size?.nps ?? 0) > API_6A_LARGE_BORE ? row.large : row.body);
  return ok({
    result: { shell: body, closureHigh: at, closureLow: psig(API_6A_LOW_GAS_PSIG), backseat: at },
    steps: [
      line('Body test', `${API_6A.name}, rated ${row.rated} psi`, 'gate partly open', body),
      line(
        'Seat test',
        'rated pressure, each direction of a bidirectional valve, no visible leak',
        `hold at least ${API_6A_HOLD_SECONDS} s`,
        at,
      ),
      line('Low-pressure gas seat test (3G)', '300 psi ± 10 %, no bubbles', '', psig(API_6A_LOW_GAS_PSIG)),
    ],
    notes: [
      ...(row.large === undefined || size
        ? []
        : [`${formatNumber(row.large, 0)} psi for bores of 16 3/4 in and more.`]),
      ...(row.note ? [`${row.note}.`] : []),
      'The 21st edition may use 1.5 × throughout: go by the nameplate and its edition.',
    ],
    source: API_6A,
  });
}

/** Integer arithmetic in tenths of a psi, so that 1.1 × 740 does not round up to 815. */
function roundedUp(rated: number, factor: { numerator: number; denominator: number }, step: number): number {
  const tenths = Math.round(rated * 10) * factor.numerator;
  const stepTenths = Math.round(step * 10) * factor.denominator;
  return (Math.ceil(tenths / stepTenths) * Math.round(step * 10)) / 10;
}
