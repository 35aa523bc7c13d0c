import { z } from 'zod';
import { ok, refuse, type Result } from '../problem';
import {
  formatNumber,
  formatAs,
  psig,
  quantity,
  seconds,
  type Flow,
  type GaugePressure,
  type Time,
} from '../quantity';
import {
  API_598,
  API_598_EDITIONS,
  DROPS_PER_ML,
  FLAT_OVER_12,
  formatSize,
  HOLD_SECONDS,
  LOW_PRESSURE_CLOSURE_PSIG,
  MATERIAL_GROUPS,
  METAL_SEAT_LEAKAGE,
  PER_INCH,
  type Api598Edition,
} from '../standards';
import { choiceField, numberField, sizeField } from './field';
import { testPressures } from './test-pressures';
import type { Step, Working, Worked } from './working';

const input = z.strictObject({
  code: choiceField(['API 598'], { label: 'Test standard' }),
  edition: choiceField(API_598_EDITIONS, { label: 'Edition' }).exactOptional(),
  size: sizeField({ label: 'Size', example: 'NPS 3' }),
  valve: choiceField(['globe', 'gate', 'plug', 'ball', 'butterfly', 'check'], { label: 'Valve' }),
  seat: choiceField(['metal', 'soft'], { label: 'Seat' }),
  class: numberField({ label: 'Pressure class', example: '600' }, 1, 20000, true),
  group: choiceField(MATERIAL_GROUPS, { label: 'Body material group' }).exactOptional(),
  fluid: choiceField(['liquid', 'gas'], { label: 'Test fluid' }),
});

export interface LeakAllowance {
  flow: Flow;
  dropsPerMinute?: number;
  bubblesPerMinute?: number;
  testPressure: GaugePressure;
  hold: Time;
}

type Given = z.output<typeof input>;

/**
 * How much a closed seat may leak, at what pressure and for how long it is watched. Metal seats other than check:
 * by size, drops per minute of liquid or bubbles per minute of gas; soft seats none; metal check valves 3 mL/min of
 * liquid or 1.5 standard ft³/h of gas per inch. Editions differ: unset means the stricter of them.
 * Errors: class or size not in the tables. Source: API 598.
 * Example: NPS 3 metal globe, edition `per-inch-over-12`, liquid → 12 drops/min, hold 60 s.
 */
export const leakAllowance: Working<typeof input, LeakAllowance> = {
  id: 'leak.allowance',
  title: 'Seat leak allowance',
  asks: ['bubbles', 'drops', 'leak', 'seat test', 'allowance', 'tight'],
  meaning: 'How much a closed seat may leak, at what pressure, watched for how long.',
  input,
  results: {
    flow: 'Leak allowed',
    dropsPerMinute: 'Drops per minute',
    bubblesPerMinute: 'Bubbles per minute',
    testPressure: 'Test pressure',
    hold: 'Hold',
  },
  source: API_598,
  work: allowance,
};

function allowance(given: Given): Result<Worked<LeakAllowance>> {
  const pressures = testPressures.work({
    class: given.class,
    ...(given.group ? { group: given.group } : {}),
  });
  if (!pressures.ok) return pressures;
  const hold = HOLD_SECONDS.find(({ upToNps }) => given.size.nps <= upToNps);
  if (!hold)
    return refuse({
      code: 'table.no-entry',
      table: API_598.name,
      looked: formatSize(given.size),
      has: 'sizes to NPS 36',
    });
  const held = seconds(given.valve === 'check' ? hold.checkClosure : hold.closure);
  const testPressure =
    given.fluid === 'liquid' ? pressures.value.result.closureHigh : psig(LOW_PRESSURE_CLOSURE_PSIG.low);
  const leak = leakFor(given);
  return ok({
    result: { ...leak.result, testPressure, hold: held },
    steps: [
      leak.step,
      {
        label: 'Test pressure',
        formula:
          given.fluid === 'liquid'
            ? '1.1 × the 100 °F rating'
            : `${LOW_PRESSURE_CLOSURE_PSIG.low} to ${LOW_PRESSURE_CLOSURE_PSIG.high} psig gas`,
        substituted: `class ${given.class}`,
        result: formatAs(testPressure, 'psig'),
      },
      { label: 'Hold', formula: 'by size', substituted: formatSize(given.size), result: formatAs(held, 's') },
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

export const EDITION_NAMES: Readonly<Record<Api598Edition, string>> = {
  stricter: 'not set, the stricter is used',
  'per-inch-over-2': 'per inch for every size over 2',
  'per-inch-over-12': 'per inch from NPS 14',
  'flat-over-12': 'flat from NPS 14',
};

interface Leak {
  result: Pick<LeakAllowance, 'flow' | 'dropsPerMinute' | 'bubblesPerMinute'>;
  step: Step;
  notes: string[];
}

function leakFor(given: Given): Leak {
  const row = { label: 'Leak allowed', substituted: formatSize(given.size) };
  if (given.seat === 'soft')
    return counted(given, 0, { ...row, formula: 'soft seat: none' }, [
      'Nothing may be seen for the whole hold.',
    ]);
  if (given.valve === 'check') {
    const flow =
      given.fluid === 'liquid'
        ? quantity('flow', 3 * given.size.nps, 'mL/min')
        : quantity('flow', 1.5 * given.size.nps, 'ft³/h');
    const formula = given.fluid === 'liquid' ? '3 mL/min per inch NPS' : '1.5 standard ft³/h per inch NPS';
    return {
      result: { flow },
      step: { ...row, formula, result: `${formatNumber(flow.value, 1)} ${flow.unit}` },
      notes: [],
    };
  }
  const edition = given.edition ?? 'stricter';
  const count = metalSeat(given.size.nps, edition)[given.fluid === 'liquid' ? 'drops' : 'bubbles'];
  const notes =
    count === 0
      ? ['None: less than one drop or bubble in the whole hold.']
      : [`Edition: ${EDITION_NAMES[edition]}.`];
  return counted(given, count, { ...row, formula: `metal seat, edition: ${EDITION_NAMES[edition]}` }, notes);
}

/** One bubble of the usual test tube, mL (ISO 5208 tube, from memory). A limit carries its tube. */
const BUBBLE_ML = 0.065;

function counted(given: Given, count: number, step: Omit<Step, 'result'>, notes: string[]): Leak {
  if (given.fluid === 'liquid') {
    return {
      result: { flow: quantity('flow', count / DROPS_PER_ML, 'mL/min'), dropsPerMinute: count },
      step: { ...step, result: `${count} drops/min` },
      notes: [...notes, `1 mL is ${DROPS_PER_ML} drops.`],
    };
  }
  return {
    result: { flow: quantity('flow', count * BUBBLE_ML, 'mL/min'), bubblesPerMinute: count },
    step: { ...step, result: `${count} bubbles/min` },
    notes: [...notes, `Bubbles are not interchangeable: the flow is at about ${BUBBLE_ML} mL a bubble.`],
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
