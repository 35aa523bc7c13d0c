import { notInTable, ok, type Result } from '../../../problem';
import { psig, quantity, seconds, type GaugePressure } from '../../../quantity';
import {
  API_598,
  DROPS_PER_ML,
  EDITION_NAMES,
  FLAT_OVER_12,
  formatSize,
  HOLD_SECONDS,
  ISO_5208_EVENT_MM3,
  LOW_PRESSURE_CLOSURE_PSIG,
  METAL_CHECK_LEAKAGE,
  METAL_SEAT_LEAKAGE,
  PER_INCH,
  type Api598Edition,
  type NominalSize,
} from '../../../standards';
import { line } from '../../frame/sheet';
import { testPressures } from '../test-pressures';
import type { Step, Worked } from '../../frame/working';
import { mlPerMinute, needed, pressureClassOf, type LeakAllowance, type LeakQuestion } from './allowance';

/** API 598: metal seats other than check by size and edition, soft seats none, metal check valves per inch. */
export function leakByApi598(given: LeakQuestion): Result<Worked<LeakAllowance>> {
  const { size } = given;
  if (!size) return needed('size', 'the size, such as NPS 3', API_598.name);
  if (given.seat === undefined) return needed('seat', 'metal or soft', API_598.name);
  const rows = HOLD_SECONDS.find(({ upToNps }) => size.nps <= upToNps);
  if (!rows) return notInTable(API_598.name, formatSize(size), 'sizes to NPS 36');
  const pressure = testPressure(given);
  if (!pressure.ok) return pressure;
  const hold = seconds(given.valve === 'check' ? rows.checkClosure : rows.closure);
  const leak = leakFor(given, size);
  return ok({
    result: { ...leak.result, testPressure: pressure.value, hold },
    steps: [
      leak.step,
      line(
        'Test pressure',
        given.fluid === 'liquid'
          ? '1.1 × the 100 °F rating'
          : `${LOW_PRESSURE_CLOSURE_PSIG.low} to ${LOW_PRESSURE_CLOSURE_PSIG.high} psig gas`,
        given.class === undefined ? '' : `class ${given.class}`,
        pressure.value,
      ),
      line('Hold', 'by size', formatSize(size), hold),
    ],
    notes: leak.notes,
    source: {
      ...API_598,
      clause:
        given.seat === 'metal' && given.valve !== 'check'
          ? `leakage, edition: ${EDITION_NAMES[given.edition ?? 'stricter']}`
          : 'leakage',
    },
  });
}

function testPressure(given: LeakQuestion): Result<GaugePressure> {
  if (given.fluid === 'gas') return ok(psig(LOW_PRESSURE_CLOSURE_PSIG.low));
  const { iron, size, group } = given;
  const pressureClass = iron === undefined ? pressureClassOf(given, API_598.name) : undefined;
  if (pressureClass?.ok === false) return pressureClass;
  const pressures = testPressures.work({
    ...(iron === undefined ? {} : { iron }),
    ...(size ? { size } : {}),
    ...(pressureClass ? { class: pressureClass.value } : {}),
    ...(group ? { group } : {}),
  });
  return pressures.ok ? ok(pressures.value.result.closureHigh) : pressures;
}

interface Leak {
  result: Pick<LeakAllowance, 'flow' | 'bubblesPerMinute' | 'dropsPerMinute'>;
  step: Step;
  notes: string[];
}

function leakFor(given: LeakQuestion, size: NominalSize): Leak {
  const said = (formula: string, result: string) => line('Leak allowed', formula, formatSize(size), result);
  const liquid = given.fluid === 'liquid';
  if (given.seat === 'soft') {
    const leak = counted(liquid, 0);
    return {
      ...leak,
      step: said('soft seat: none', leak.text),
      notes: ['Nothing may be seen for the whole hold.'],
    };
  }
  if (given.valve === 'check') {
    const flow = liquid
      ? mlPerMinute(METAL_CHECK_LEAKAGE.liquidMlPerMinute * size.nps)
      : quantity('flow', METAL_CHECK_LEAKAGE.gasCubicFeetPerHour * size.nps, 'ft³/h');
    const step = line(
      'Leak allowed',
      liquid ? '3 mL/min per inch NPS' : '1.5 standard ft³/h per inch NPS',
      formatSize(size),
      flow,
    );
    return { result: { flow }, step, notes: [] };
  }
  const edition = given.edition ?? 'stricter';
  const count = metalSeat(size.nps, edition)[liquid ? 'drops' : 'bubbles'];
  const leak = counted(liquid, count);
  return {
    ...leak,
    step: said(`metal seat, edition: ${EDITION_NAMES[edition]}`, leak.text),
    notes: [
      ...(count === 0
        ? ['None: less than one drop or bubble in the whole hold.']
        : [`Edition: ${EDITION_NAMES[edition]}.`]),
      liquid
        ? `1 mL is ${DROPS_PER_ML} drops.`
        : `Bubbles are not interchangeable: the flow is at about ${BUBBLE_ML} mL a bubble.`,
    ],
  };
}

/** A bubble of about the ISO 5208 tube, mL, from memory: API 598 gives no volume. */
const BUBBLE_ML = Number((ISO_5208_EVENT_MM3.bubble / 1000).toFixed(3));

function counted(liquid: boolean, count: number): Pick<Leak, 'result'> & { text: string } {
  return liquid
    ? {
        result: { flow: mlPerMinute(count / DROPS_PER_ML), dropsPerMinute: count },
        text: `${count} drops/min`,
      }
    : {
        result: { flow: mlPerMinute(count * BUBBLE_ML), bubblesPerMinute: count },
        text: `${count} bubbles/min`,
      };
}

function metalSeat(nps: number, edition: Api598Edition): { drops: number; bubbles: number } {
  const perInch = { drops: PER_INCH.drops * nps, bubbles: PER_INCH.bubbles * nps };
  const row = METAL_SEAT_LEAKAGE.find(({ upToNps }) => nps <= upToNps);
  const byRow = {
    'per-inch-over-12': row ?? perInch,
    'flat-over-12': row ?? FLAT_OVER_12,
    'per-inch-over-2': nps <= 2 ? { drops: 0, bubbles: 0 } : perInch,
  };
  if (edition !== 'stricter') return byRow[edition];
  const all = Object.values(byRow);
  return {
    drops: Math.min(...all.map(({ drops }) => drops)),
    bubbles: Math.min(...all.map(({ bubbles }) => bubbles)),
  };
}
