import { gasFlow } from '../../../analysis';
import { inConflict, notInTable, ok, type Result } from '../../../problem';
import {
  formatNumber,
  psig,
  quantity,
  seconds,
  si,
  valueIn,
  type Flow,
  type Length,
} from '../../../quantity';
import {
  AIR_MOLAR_MASS,
  CAPACITY_SHARE,
  CAPACITY_TEST_PSI,
  CLASS_V_LEAST_PSI,
  CLASS_V_ML_PER_INCH_PSI,
  CLASS_VI,
  CLASS_VI_BUBBLE_ML,
  CLASS_VI_SAME_PORT_MM,
  CLASS_VI_TEST_PSI,
  FCI_70_2,
  FCI_CLASSES,
  GLOBE_FACTORS,
} from '../../../standards';
import { line, shown } from '../../frame/sheet';
import type { Worked } from '../../frame/working';
import { mlPerMinute, needed, type LeakAllowance, type LeakQuestion } from './allowance';

/** No hold is given: long enough for the flow to settle, taken as one minute (common practice). */
const SETTLING = seconds(60);

/** ANSI/FCI 70-2, IEC 60534-4: control valves by leak class. */
export function leakByFci702(given: LeakQuestion): Result<Worked<LeakAllowance>> {
  const leakClass = FCI_CLASSES.find((each) => each === given.class);
  if (given.class === undefined) return needed('class', 'a leak class, II to VI', FCI_70_2.name);
  if (!leakClass) return notInTable(FCI_70_2.name, `class ${given.class}`, FCI_CLASSES.join(' '));
  if (leakClass === 'V') return classV(given);
  return leakClass === 'VI' ? classVI(given) : byCapacity(given, leakClass);
}

function byCapacity(
  given: LeakQuestion,
  leakClass: keyof typeof CAPACITY_SHARE,
): Result<Worked<LeakAllowance>> {
  if (!given.ratedCv) return needed('ratedCv', 'the rated Cv', FCI_70_2.name);
  const operating = given.difference ? valueIn(given.difference, 'psi') : Infinity;
  const test = operating <= CAPACITY_TEST_PSI.most ? operating : CAPACITY_TEST_PSI.least;
  const capacity = given.fluid === 'liquid' ? water(si(given.ratedCv), test) : air(si(given.ratedCv), test);
  const share = CAPACITY_SHARE[leakClass];
  const flow = mlPerMinute(valueIn(capacity, 'mL/min') * share);
  const pressure = psig(test);
  return ok({
    result: { flow, testPressure: pressure, hold: SETTLING },
    steps: [
      line(
        'Test difference',
        `${CAPACITY_TEST_PSI.least} to ${CAPACITY_TEST_PSI.most} psi, or the operating difference when lower`,
        given.difference ? shown(given.difference) : '',
        pressure,
      ),
      line(
        'Capacity at that difference',
        given.fluid === 'liquid' ? 'Cv · √Δp, water' : 'IEC 60534-2-1, air at 15 °C',
        shown(given.ratedCv),
        capacity,
      ),
      line('Leak allowed', `class ${leakClass}: ${formatNumber(share * 100, 3)} % of it`, '', flow),
    ],
    notes: [
      'Measured at a higher difference the same valve leaks more: the test difference is part of the figure.',
      ...(given.fluid === 'gas'
        ? [`Air, as standard volume at 15 °C; xT ${GLOBE_FACTORS.pressureRatio} taken.`]
        : []),
    ],
    source: FCI_70_2,
  });
}

/** Water through a Kv at a difference in psi. */
function water(kv: number, psi: number): Flow {
  const bar = si(quantity('pressure difference', psi, 'psi')) / 1e5;
  return quantity('flow', kv * Math.sqrt(bar), 'm³/h');
}

const [ATMOSPHERE, FIFTEEN_CELSIUS, NORMAL_KELVIN] = [101_325, 288.15, 273.15];

/** Air from the test pressure to the open air, as m³/h at 15 °C. */
function air(kv: number, psi: number): Flow {
  const inlet = si(psig(psi)) + ATMOSPHERE;
  const state = gasFlow({
    inlet,
    outlet: ATMOSPHERE,
    kelvin: FIFTEEN_CELSIUS,
    molarMass: AIR_MOLAR_MASS,
    heatRatio: 1.4,
    pressureRatio: GLOBE_FACTORS.pressureRatio,
    compressibility: 1,
  });
  return quantity('flow', (kv * state.normalFlowPerKv * FIFTEEN_CELSIUS) / NORMAL_KELVIN, 'm³/h');
}

function classV(given: LeakQuestion): Result<Worked<LeakAllowance>> {
  const { portDiameter, difference } = given;
  if (given.fluid === 'gas') return inConflict(['fluid'], 'Class V is carried here with water only.');
  if (!portDiameter) return needed('portDiameter', 'the port diameter', 'class V');
  if (!difference) return needed('difference', 'the maximum service difference', 'class V');
  // Less than 100 psi is tested at 100 (from memory, medium to high).
  const psi = Math.max(CLASS_V_LEAST_PSI, valueIn(difference, 'psi'));
  const flow = mlPerMinute(CLASS_V_ML_PER_INCH_PSI * valueIn(portDiameter, 'in') * psi);
  return ok({
    result: { flow, testPressure: psig(psi), hold: SETTLING },
    steps: [
      line(
        'Leak allowed',
        '5 × 10⁻⁴ mL/min per inch of port per psi',
        `${shown(portDiameter)} × ${formatNumber(psi, 1)} psi`,
        flow,
      ),
    ],
    notes: [`Water, at the maximum service difference, no less than ${CLASS_V_LEAST_PSI} psi.`],
    source: FCI_70_2,
  });
}

function classVI(given: LeakQuestion): Result<Worked<LeakAllowance>> {
  const { portDiameter, difference } = given;
  if (given.fluid === 'liquid') return inConflict(['fluid'], 'Class VI is tested with air or nitrogen.');
  if (!portDiameter) return needed('portDiameter', 'the port diameter', 'class VI');
  const row = rowFor(portDiameter);
  if (!row) return notInTable('class VI ports', shown(portDiameter), 'ports to 16 in');
  const test = Math.min(CLASS_VI_TEST_PSI, difference ? valueIn(difference, 'psi') : Infinity);
  const flow = mlPerMinute(row.mlPerMinute);
  return ok({
    result: { flow, bubblesPerMinute: row.bubbles, testPressure: psig(test), hold: SETTLING },
    steps: [
      line('Leak allowed', row.how, shown(portDiameter), flow),
      line(
        'As bubbles',
        `about ${CLASS_VI_BUBBLE_ML} mL each`,
        '',
        `${formatNumber(row.bubbles, 1)} bubbles/min`,
      ),
      line('Test pressure', '50 psi, or the rated difference when lower', '', psig(test)),
    ],
    notes: ['Tube 1/4 in OD × 1/32 in wall, cut square: another tube makes other bubbles.'],
    source: FCI_70_2,
  });
}

type ClassViRow = { mlPerMinute: number; bubbles: number; how: string };

/** A listed port within 2 mm, the 1 in row below it, else between rows by the square of the diameter. */
function rowFor(port: Length): ClassViRow | undefined {
  const diameter = valueIn(port, 'in');
  const near = CLASS_VI.find(
    ({ portIn }) => Math.abs(portIn - diameter) * 25.4 <= CLASS_VI_SAME_PORT_MM + 1e-9,
  );
  const smallest = CLASS_VI[0];
  if (near) return { ...near, how: `port ${near.portIn} in` };
  if (diameter < smallest.portIn) return { ...smallest, how: 'port under 1 in: the 1 in row' };
  const next = CLASS_VI.findIndex(({ portIn }) => portIn > diameter);
  const [low, high] = [CLASS_VI[next - 1], CLASS_VI[next]];
  if (!low || !high) return undefined;
  const share = (diameter ** 2 - low.portIn ** 2) / (high.portIn ** 2 - low.portIn ** 2);
  return {
    mlPerMinute: low.mlPerMinute + (high.mlPerMinute - low.mlPerMinute) * share,
    bubbles: low.bubbles + (high.bubbles - low.bubbles) * share,
    how: `between ports ${low.portIn} and ${high.portIn} in, by the diameter squared`,
  };
}
