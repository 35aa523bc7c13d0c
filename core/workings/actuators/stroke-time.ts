import { z } from 'zod';
import { gasFlow } from '../../analysis';
import { inConflict, ok, type Result } from '../../problem';
import { fromSi, quantity, si, type Time, type Volume } from '../../quantity';
import { AIR_MOLAR_MASS, IEC_60534_2_1 } from '../../standards';
import { numberField, quantityField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  volume: quantityField('volume', { label: 'Volume, full', example: '200 in³' }),
  supply: quantityField('gauge pressure', { label: 'Supply', example: '60 psig' }),
  from: quantityField(
    'gauge pressure',
    { label: 'Filled from', example: '0 psig' },
    'not negative',
  ).exactOptional(),
  to: quantityField('gauge pressure', {
    label: 'to (usually 95 %)',
    example: '50 psig',
  }).exactOptional(),
  Cv: numberField({ label: 'Cv of the smallest passage', example: '0.3' }, 1e-5, 1000),
});

export interface StrokeTime {
  time: Time;
  airPerStroke: Volume;
}

const ATMOSPHERE = 101_325;
const [WARM, NORMAL] = [293.15, 273.15];
const STEPS = 2000;
const USUAL_SHARE = 0.95;
const PRESSURE_RATIO = 0.7;

/**
 * Time to fill an actuator through its smallest passage: air at 20 °C, isothermal, by the gas equation of IEC 60534-2-1
 * with xT 0.7, from one pressure to another (0 to 95 % of the supply unless given), the volume taken as full all the
 * time: the longest it can be. Air for a stroke = volume × (to − from) / 1.01325 bar, free air.
 * Errors: an end not above its start; an end not under the supply. Source: IEC 60534-2-1.
 * Example: 200 in³, 60 psig, Cv 0.3 → about 1.4 s.
 */
export const actuatorStrokeTime: Working<typeof input, StrokeTime> = {
  id: 'actuator.stroke-time',
  title: 'Stroke time and air',
  asks: ['stroke time', 'slow', 'air consumption', 'volume tank', 'fill', 'speed', 'actuator'],
  meaning: 'How long an actuator takes to fill through its tubing, and how much air a stroke costs.',
  input,
  results: { time: 'Time to fill', airPerStroke: 'Free air for a stroke' },
  source: IEC_60534_2_1,
  work: (given): Result<Worked<StrokeTime>> => {
    const supply = si(given.supply);
    const [from, to] = [given.from ? si(given.from) : 0, given.to ? si(given.to) : USUAL_SHARE * supply];
    if (to <= from) return inConflict(['from', 'to'], 'The end of the filling must be above its start.');
    if (to >= supply)
      return inConflict(['to', 'supply'], 'It never quite reaches its supply: give an end under it.');
    const kv = si(quantity('flow coefficient', given.Cv, 'Cv'));
    const seconds = fillingSeconds(
      si(given.volume),
      supply + ATMOSPHERE,
      from + ATMOSPHERE,
      to + ATMOSPHERE,
      kv,
    );
    const sheet = sheetFor(given.supply, given.volume);
    const [time, air] = [
      quantity('time', seconds, 's'),
      fromSi('volume', (si(given.volume) * (to - from)) / ATMOSPHERE, sheet.system === 'US' ? 'ft³' : 'L'),
    ];
    return ok({
      result: { time, airPerStroke: air },
      steps: [
        line(
          'Time to fill',
          'V / (p₀ · q) summed from start to end',
          `${shown(given.volume)}, Cv ${given.Cv}, ${shown(given.supply)}`,
          time,
        ),
        line('Air for a stroke', 'V · (to − from) / 1.01325 bar', '', air),
      ],
      notes: [
        'The volume is counted full from the start: a stroke that grows into it is quicker.',
        'The smallest passage counts: tube, fitting, solenoid or relay, whichever passes least.',
      ],
      source: IEC_60534_2_1,
    });
  },
};

/** Each small rise of pressure takes its air at the flow there (trapezoids). */
function fillingSeconds(volume: number, inlet: number, from: number, to: number, kv: number): number {
  const perPascal = (pressure: number): number => {
    const { normalFlowPerKv } = gasFlow({
      inlet,
      outlet: pressure,
      kelvin: WARM,
      molarMass: AIR_MOLAR_MASS,
      heatRatio: 1.4,
      pressureRatio: PRESSURE_RATIO,
      compressibility: 1,
    });
    const warm = ((normalFlowPerKv * kv) / 3600) * (WARM / NORMAL);
    return volume / (ATMOSPHERE * warm);
  };
  const step = (to - from) / STEPS;
  let sum = (perPascal(from) + perPascal(to)) / 2;
  for (let i = 1; i < STEPS; i++) sum += perPascal(from + i * step);
  return sum * step;
}
