import { z } from 'zod';
import { liquidFlow } from '../../analysis';
import { inConflict, outOfRange, ok, type Result } from '../../problem';
import { formatNumber, si, type Flow, type FlowCoefficient, type PressureDifference } from '../../quantity';
import { GLOBE_FACTORS, IEC_60534_2_1, WATER_CRITICAL_PASCALS, WATER_DENSITY } from '../../standards';
import { factorField, quantityField } from '../frame/field';
import {
  absolute,
  bothCoefficients,
  coefficientFields,
  fallOf,
  kvAsked,
  pressureAt,
} from './flow-coefficient';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  flow: quantityField('flow', {
    label: 'Flow, to find the coefficient',
    oneOf: { of: 'What is known', as: 'the flow' },
    example: '300 gpm',
    inExample: true,
  }).exactOptional(),
  ...coefficientFields,
  inletPressure: pressureAt('Inlet pressure', '100 psig'),
  outletPressure: pressureAt('Outlet pressure', '60 psig'),
  specificGravity: factorField(
    { label: 'Specific gravity', example: '1', oneOf: { of: 'How heavy it is', as: 'specific gravity' } },
    0.2,
    5,
  ).exactOptional(),
  density: quantityField('density', {
    label: 'Density',
    example: '965 kg/m³',
    oneOf: { of: 'How heavy it is', as: 'density' },
  }).exactOptional(),
  vapourPressure: pressureAt('Vapour pressure', '0.5 psia').exactOptional(),
  criticalPressure: pressureAt('Critical pressure', '3,208 psia').exactOptional(),
  FL: factorField({ label: 'Pressure recovery factor FL', example: '0.9' }, 0.2, 1).exactOptional(),
});

type Given = z.output<typeof input>;

export interface LiquidFlow {
  Cv: FlowCoefficient;
  Kv: FlowCoefficient;
  flow: Flow;
  choked: boolean;
  chokedDifference: PressureDifference;
}

/** Vapour pressure of water at 20 °C, Pa: what cold water is taken for when nothing is said. */
const COLD_WATER_VAPOUR = 2339;

/**
 * Liquid through a control valve, without fittings: `Kv = Q/√(Δp/(ρ/ρ0))`; choked when the difference passes
 * `FL²(p1 − FF·pv)`, `FF = 0.96 − 0.28√(pv/pc)`: then no lower outlet pressure passes more. Flow gives the
 * coefficient, a coefficient the flow. Cold water, FL 0.9, unless said.
 * Errors: outlet not below inlet; density and specific gravity both; a vapour pressure above the critical; a vapour pressure above the inlet; flow and coefficient both or neither.
 * Source: IEC 60534-2-1. Example: 360 m³/h, 6.8 to 2.2 bar a, 965.4 kg/m³, pv 0.701 bar a, FL 0.9 → Kv 165.
 */
export const flowLiquid: Working<typeof input, LiquidFlow> = {
  id: 'flow.liquid',
  title: 'Liquid through a control valve',
  asks: ['cv', 'kv', 'flow', 'sizing', 'liquid', 'choked', 'cavitation', 'capacity'],
  meaning: 'The coefficient a liquid flow needs, or the flow a coefficient passes, and whether it chokes.',
  input,
  results: {
    Cv: 'Cv',
    Kv: 'Kv',
    flow: 'Flow',
    choked: 'Choked',
    chokedDifference: 'Chokes at a difference of',
  },
  source: IEC_60534_2_1,
  work: liquid,
};

function liquid(given: Given): Result<Worked<LiquidFlow>> {
  const kv = kvAsked(given, given.flow !== undefined);
  if (!kv.ok) return kv;
  const fall = fallOf(given.inletPressure, given.outletPressure);
  if (!fall.ok) return fall;
  const vapour = given.vapourPressure ? absolute(given.vapourPressure) : COLD_WATER_VAPOUR;
  const critical = given.criticalPressure ? absolute(given.criticalPressure) : WATER_CRITICAL_PASCALS;
  if (given.density && given.specificGravity !== undefined)
    return inConflict(
      ['specificGravity', 'density'],
      'Give the specific gravity or the density, one of the two.',
    );
  if (vapour >= critical)
    return outOfRange(
      'vapourPressure',
      given.vapourPressure ? shown(given.vapourPressure) : '',
      'below the critical pressure',
      'above it there is no vapour pressure',
    );
  if (vapour >= fall.value.inlet)
    return outOfRange(
      'vapourPressure',
      given.vapourPressure ? shown(given.vapourPressure) : '',
      'below the inlet pressure',
      'it would be vapour before the valve',
    );
  const relative = given.density ? si(given.density) / WATER_DENSITY : (given.specificGravity ?? 1);
  const recovery = given.FL ?? GLOBE_FACTORS.liquidRecovery;
  const state = liquidFlow({ ...fall.value, vapour, critical, recovery, relativeDensity: relative });
  const coefficient = kv.value ?? (given.flow ? si(given.flow) * 3600 : 0) / state.flowPerKv;
  const sheet = sheetFor(given.flow, given.coefficient, given.inletPressure);
  const flow =
    given.flow ?? sheet.of('flow', (coefficient * state.flowPerKv) / 3600, { US: 'gpm', SI: 'm³/h' });
  const chokedDifference = sheet.of('pressure difference', state.chokedDifference);
  const both = bothCoefficients(coefficient);
  return ok({
    result: { ...both, flow, choked: state.choked, chokedDifference },
    steps: [
      line(
        'Critical pressure ratio factor',
        'FF = 0.96 − 0.28 √(pv/pc)',
        `√(${formatNumber(vapour / 1000, 1)} / ${formatNumber(critical / 1000, 0)} kPa)`,
        formatNumber(state.ratioFactor, 3),
      ),
      line(
        'Chokes at',
        'FL² (p1 − FF · pv)',
        `${recovery}² × (p1 − ${formatNumber(state.ratioFactor, 3)} × pv), absolute`,
        chokedDifference,
      ),
      line(
        'Difference that counts',
        'the smaller of this and p1 − p2',
        state.choked ? 'choked' : 'not choked',
        sheet.of('pressure difference', state.sizingDifference),
      ),
      given.flow
        ? line(
            'Flow coefficient',
            'Kv = Q / √(Δp / SG), m³/h and bar',
            `${shown(given.flow)}, SG ${formatNumber(relative, 4)}`,
            `${shown(both.Kv)} = ${shown(both.Cv)}`,
          )
        : line(
            'Flow',
            'Q = Kv · √(Δp / SG), m³/h and bar',
            `${shown(both.Kv)}, SG ${formatNumber(relative, 4)}`,
            flow,
          ),
    ],
    notes: [
      ...(state.choked
        ? ['Choked: a lower outlet pressure passes no more, and the trim may cavitate or flash.']
        : []),
      ...(given.FL === undefined ? ['FL 0.9, a usual globe valve: the maker’s figure wins.'] : []),
      ...(given.vapourPressure === undefined
        ? ['Taken as cold water: give the vapour pressure of anything else.']
        : []),
      'Without fittings: reducers at the valve take some of it.',
    ],
    source: IEC_60534_2_1,
  });
}
