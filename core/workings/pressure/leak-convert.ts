import { z } from 'zod';
import { inConflict, ok, type Result } from '../../problem';
import {
  absoluteIfGauge,
  formatNumber,
  quantity,
  quantityOf,
  seconds,
  si,
  type Flow,
  type Time,
} from '../../quantity';
import {
  API_527_BUBBLE_ML,
  CLASS_VI_BUBBLE_ML,
  COMMON_PRACTICE,
  DROPS_PER_ML,
  ISO_5208_EVENT_MM3,
  type Source,
} from '../../standards';
import { choiceField, numberField, quantityField, recordField } from '../frame/field';
import { line, shown } from '../frame/sheet';
import type { Step, Working, Worked } from '../frame/working';

const TUBES = ['class-vi', 'api-527', 'iso-5208'] as const;
/** Tubes that bubbles are counted from, by their standard. */
export type BubbleTube = (typeof TUBES)[number];
/** Bubble of each standard's tube, mL. */
const BUBBLE_ML: Readonly<Record<(typeof TUBES)[number], number>> = {
  'class-vi': CLASS_VI_BUBBLE_ML,
  'api-527': API_527_BUBBLE_ML,
  'iso-5208': ISO_5208_EVENT_MM3.bubble / 1000,
};

const pressure = z.union([quantityOf('gauge pressure'), quantityOf('absolute pressure')]);

const input = z.strictObject({
  bubblesPerMinute: numberField(
    { label: 'Bubbles a minute', example: '4', inExample: true, oneOf: { of: 'The leak as', as: 'bubbles' } },
    0,
    1e7,
  ).exactOptional(),
  dropsPerMinute: numberField(
    { label: 'Drops a minute', example: '12', oneOf: { of: 'The leak as', as: 'drops' } },
    0,
    1e7,
  ).exactOptional(),
  flow: quantityField(
    'flow',
    { label: 'Flow', example: '2 mL/min', oneOf: { of: 'The leak as', as: 'a flow' } },
    'not negative',
  ).exactOptional(),
  decay: recordField(
    { volume: quantityOf('volume'), from: pressure, to: pressure, time: quantityOf('time') },
    [
      { name: 'volume', label: 'volume', example: '2 L' },
      { name: 'from', label: 'from', example: '100 psig' },
      { name: 'to', label: 'to', example: '99 psig' },
      { name: 'time', label: 'in', example: '10 min' },
    ],
    {
      label: 'Pressure that falls in a closed volume',
      oneOf: { of: 'The leak as', as: 'a falling pressure' },
    },
  ).exactOptional(),
  tube: choiceField(TUBES, { label: 'Bubble tube of' }).exactOptional(),
});

type Given = z.output<typeof input>;

export interface LeakConverted {
  flow: Flow;
  bubblesPerMinute: number;
  dropsPerMinute: number;
  timeForOne: Time;
}

const SOURCE: Source = { ...COMMON_PRACTICE, name: 'Bubbles, drops and flow; decay of a closed volume' };
const ATMOSPHERE = 101_325;

/**
 * A leak in every way it is counted: bubbles of a standard's tube (class VI 0.15 mL, the usual one here; API 527 0.295;
 * ISO 5208 0.0654), drops of 0.0625 mL, a flow at 1.01325 bar, or a pressure that falls: `V·(p1 − p2)/(1.01325 bar·t)`
 * at one temperature. The time for one is that for one of what was given, of a bubble for a flow or a decay.
 * Errors: none or more than one way of counting; a pressure that does not fall.
 * Source: the standards named; the gas law. Example: 2 bubbles a minute of class VI → 0.3 mL/min, 30 s for one.
 */
export const leakConvert: Working<typeof input, LeakConverted> = {
  id: 'leak.convert',
  title: 'Bubbles, drops, flow: one leak',
  asks: ['bubbles', 'drops', 'ml/min', 'convert', 'leak', 'pressure decay', 'how long for one bubble'],
  meaning: 'The same leak as bubbles, as drops and as a flow, and how long one of them takes.',
  input,
  results: {
    flow: 'Flow, at 1.01325 bar',
    bubblesPerMinute: 'Bubbles a minute',
    dropsPerMinute: 'Drops a minute',
    timeForOne: 'Time for one',
  },
  source: SOURCE,
  work: convert,
};

function convert(given: Given): Result<Worked<LeakConverted>> {
  const bubble = BUBBLE_ML[given.tube ?? 'class-vi'];
  const drop = 1 / DROPS_PER_ML;
  const ways = [given.bubblesPerMinute, given.dropsPerMinute, given.flow, given.decay];
  if (ways.filter((each) => each !== undefined).length !== 1)
    return inConflict(
      ['bubblesPerMinute', 'dropsPerMinute', 'flow', 'decay'],
      'Give the leak in one way: bubbles, drops, a flow, or a pressure that falls.',
    );
  const read = mlPerMinute(given, bubble, drop);
  if (!read.ok) return read;
  const { ml, step } = read.value;
  const counts = { bubblesPerMinute: ml / bubble, dropsPerMinute: ml / drop };
  const counted = given.dropsPerMinute === undefined ? counts.bubblesPerMinute : counts.dropsPerMinute;
  const timeForOne = seconds(counted > 0 ? 60 / counted : 0);
  const flow = quantity('flow', ml, 'mL/min');
  return ok({
    result: { flow, ...counts, timeForOne },
    steps: [
      ...(step ? [step] : []),
      line(
        'Bubbles',
        `flow / ${formatNumber(bubble, 4)} mL`,
        shown(flow),
        `${formatNumber(counts.bubblesPerMinute, 3)} a minute`,
      ),
      line(
        'Drops',
        `flow / ${formatNumber(drop, 4)} mL`,
        shown(flow),
        `${formatNumber(counts.dropsPerMinute, 3)} a minute`,
      ),
    ],
    notes: [
      ...(ml === 0 ? ['Nothing leaks: no time is long enough for one.'] : []),
      'Bubbles of one tube are not those of another, and drops of gas are none.',
    ],
    source: SOURCE,
  });
}

function mlPerMinute(
  { bubblesPerMinute, dropsPerMinute, flow, decay }: Given,
  bubble: number,
  drop: number,
): Result<{ ml: number; step?: Step }> {
  if (bubblesPerMinute !== undefined) return ok({ ml: bubblesPerMinute * bubble });
  if (dropsPerMinute !== undefined) return ok({ ml: dropsPerMinute * drop });
  if (flow) return ok({ ml: si(flow) * 60e6 });
  if (!decay) return ok({ ml: 0 });
  const fall = absoluteIfGauge(decay.from) - absoluteIfGauge(decay.to);
  if (!(fall >= 0) || si(decay.time) <= 0 || si(decay.volume) <= 0)
    return inConflict(
      ['decay'],
      'A pressure that falls, in a volume, over some time: one of them is not so.',
    );
  const cubicMetresPerSecond = (si(decay.volume) * fall) / (ATMOSPHERE * si(decay.time));
  return ok({
    ml: cubicMetresPerSecond * 60e6,
    step: line(
      'Flow out of the volume',
      'V · (p1 − p2) / (1.01325 bar · t)',
      `${shown(decay.volume)} × (${shown(decay.from)} − ${shown(decay.to)}) / ${shown(decay.time)}`,
      quantity('flow', cubicMetresPerSecond * 60e6, 'mL/min'),
    ),
  });
}
