import { z } from 'zod';
import { gasFlow } from '../../analysis';
import { inConflict, ok, type Result } from '../../problem';
import { formatNumber, quantity, si, type FlowCoefficient, type GasFlow } from '../../quantity';
import { AIR_MOLAR_MASS, GLOBE_FACTORS, IEC_60534_2_1 } from '../../standards';
import { factorField, numberField, quantityField } from '../frame/field';
import { bothCoefficients, coefficientFields, fallOf, kvAsked, pressureAt } from './flow-coefficient';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  flow: quantityField('gas flow', {
    label: 'Flow, to find the coefficient',
    oneOf: { of: 'What is known', as: 'the flow' },
    example: '60,000 scfh',
    inExample: true,
  }).exactOptional(),
  ...coefficientFields,
  inletPressure: pressureAt('Inlet pressure', '100 psig'),
  outletPressure: pressureAt('Outlet pressure', '60 psig'),
  temperature: quantityField('temperature', { label: 'Inlet temperature', example: '60 °F' }, 'any'),
  molarMass: numberField(
    { label: 'Molar mass, kg/kmol', example: '28.96', oneOf: { of: 'How heavy it is', as: 'molar mass' } },
    1,
    500,
  ).exactOptional(),
  specificGravity: factorField(
    {
      label: 'Specific gravity, air 1',
      example: '0.6',
      oneOf: { of: 'How heavy it is', as: 'specific gravity' },
    },
    0.03,
    10,
  ).exactOptional(),
  heatRatio: factorField({ label: 'Ratio of specific heats γ', example: '1.4' }, 1, 1.8).exactOptional(),
  xT: factorField({ label: 'Pressure ratio factor xT', example: '0.72' }, 0.1, 1).exactOptional(),
  compressibility: factorField({ label: 'Compressibility Z', example: '1' }, 0.2, 2).exactOptional(),
});

type Given = z.output<typeof input>;

export interface GasFlowAnswer {
  Cv: FlowCoefficient;
  Kv: FlowCoefficient;
  flow: GasFlow;
  choked: boolean;
}

/**
 * Gas through a control valve, without fittings: `Q = N9·Kv·p1·Y·√(x/(M·T·Z))`, `Y = 1 − x/(3·Fγ·xT)`, choked from
 * `x = Δp/p1 ≥ Fγ·xT` with `Y = 2/3`, `Fγ = γ/1.4`. Flow gives the coefficient, a coefficient the flow. Air, γ 1.4,
 * xT 0.72, Z 1 unless said. Errors: outlet not below inlet; flow and coefficient both or neither; a temperature at
 * absolute zero. Source: IEC 60534-2-1.
 * Example: CO2 3 800 Nm³/h, 6.8 to 3.1 bar a, 433 K, M 44.01, γ 1.3, xT 0.60, Z 0.991 → Kv 62.7.
 */
export const flowGas: Working<typeof input, GasFlowAnswer> = {
  id: 'flow.gas',
  title: 'Gas through a control valve',
  asks: ['cv', 'kv', 'flow', 'sizing', 'gas', 'steam', 'air', 'choked', 'capacity'],
  meaning: 'The coefficient a gas flow needs, or the flow a coefficient passes, and whether it chokes.',
  input,
  results: { Cv: 'Cv', Kv: 'Kv', flow: 'Flow', choked: 'Choked' },
  source: IEC_60534_2_1,
  work: gas,
};

function gas(given: Given): Result<Worked<GasFlowAnswer>> {
  const kv = kvAsked(given, given.flow !== undefined);
  if (!kv.ok) return kv;
  const fall = fallOf(given.inletPressure, given.outletPressure);
  if (!fall.ok) return fall;
  const kelvin = si(given.temperature);
  if (kelvin < 50) return inConflict(['temperature'], 'That temperature is next to absolute zero.');
  if (given.molarMass !== undefined && given.specificGravity !== undefined)
    return inConflict(
      ['molarMass', 'specificGravity'],
      'Give the molar mass or the specific gravity, one of the two.',
    );
  const molarMass = given.molarMass ?? AIR_MOLAR_MASS * (given.specificGravity ?? 1);
  const [heatRatio, pressureRatio, compressibility] = [
    given.heatRatio ?? 1.4,
    given.xT ?? GLOBE_FACTORS.pressureRatio,
    given.compressibility ?? 1,
  ];
  const state = gasFlow({ ...fall.value, kelvin, molarMass, heatRatio, pressureRatio, compressibility });
  const coefficient = kv.value ?? (given.flow ? si(given.flow) * 3600 : 0) / state.normalFlowPerKv;
  const sheet = sheetFor(given.flow, given.coefficient, given.inletPressure);
  const flow =
    given.flow ??
    sheet.of('gas flow', si(quantity('gas flow', coefficient * state.normalFlowPerKv, 'Nm³/h')));
  const both = bothCoefficients(coefficient);
  return ok({
    result: { ...both, flow, choked: state.choked },
    steps: [
      line(
        'Pressure ratio',
        'x = Δp / p1, absolute',
        `${shown(given.inletPressure)} to ${shown(given.outletPressure)}`,
        formatNumber(state.ratio, 4),
      ),
      line(
        'Chokes at',
        'x = (γ/1.4) · xT',
        `${heatRatio} / 1.4 × ${pressureRatio}`,
        formatNumber(state.chokedRatio, 4),
      ),
      line(
        'Expansion factor',
        'Y = 1 − x / (3 · x choked), at least 2/3',
        state.choked ? 'choked' : 'not choked',
        formatNumber(state.expansion, 4),
      ),
      given.flow
        ? line(
            'Flow coefficient',
            'Kv = Q / (N9 · p1 · Y · √(x / (M T Z)))',
            `M ${formatNumber(molarMass, 2)}, T ${formatNumber(kelvin, 1)} K, Z ${compressibility}`,
            `${shown(both.Kv)} = ${shown(both.Cv)}`,
          )
        : line(
            'Flow',
            'Q = N9 · Kv · p1 · Y · √(x / (M T Z))',
            `${shown(both.Kv)}, M ${formatNumber(molarMass, 2)}, T ${formatNumber(kelvin, 1)} K`,
            flow,
          ),
    ],
    notes: [
      'Nm³/h are at 0 °C and 1.01325 bar, Sm³/h at 15 °C, scfh at 60 °F.',
      ...(given.xT === undefined ? ['xT 0.72, a usual globe valve: the maker’s figure wins.'] : []),
      'Without fittings: reducers at the valve take some of it.',
    ],
    source: IEC_60534_2_1,
  });
}
