import { z } from 'zod';
import { inConflict, ok, type Result } from '../../problem';
import { si, type Force, type GaugePressure, type Length } from '../../quantity';
import { COMMON_PRACTICE, COUPLED_OFF_STOP, type Source } from '../../standards';
import { choiceField, quantityField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Step, Working, Worked } from '../frame/working';

const input = z.strictObject({
  action: choiceField(
    ['air to open', 'air to close'],
    { label: 'Action' },
    { 'fail closed': 'air to open', 'fail open': 'air to close', ato: 'air to open', atc: 'air to close' },
  ),
  area: quantityField('area', { label: 'Diaphragm area', example: '69 in²' }),
  travel: quantityField('length', { label: 'Rated travel', example: '3/4 in' }),
  benchLow: quantityField('gauge pressure', { label: 'Bench set, start', example: '3 psig' }, 'not negative'),
  benchHigh: quantityField('gauge pressure', { label: 'Bench set, end', example: '15 psig' }),
  wantedLoad: quantityField('force', { label: 'Seat load wanted', example: '250 lbf' }, 'not negative'),
  friction: quantityField('force', { label: 'Packing friction', example: '60 lbf' }, 'not negative'),
  stopPressure: quantityField(
    'gauge pressure',
    { label: 'Air to open: the stem leaves its own stop at', example: '3 psig', inExample: true },
    'not negative',
  ).exactOptional(),
  mostAir: quantityField('gauge pressure', {
    label: 'Most air that reaches the casing',
    example: '20 psig',
    inExample: true,
  }).exactOptional(),
});

type Given = z.output<typeof input>;

export interface Coupling {
  /** What stands in the casing while it is coupled, the plug just on its seat. */
  coupleAt: GaugePressure;
  /** How far the actuator stem has left its own stop there. */
  offStop?: Length;
  /** The bench set as coupled. */
  benchLow: GaugePressure;
  benchHigh: GaugePressure;
  seatLoad?: Force;
  verdict: 'fit' | 'ask' | 'stop';
}

const SOURCE: Source = { ...COMMON_PRACTICE, name: 'Coupling a stem for its seat load' };

/**
 * At what casing pressure the stems are coupled, the plug just on its seat, for the seat load wanted. Air to open, the
 * spring shuts it: off the actuator’s own stop by `x = ((load + friction) − A·P_stop) / k`, 1/16 in at least, with
 * `k = A·(high − low) / travel`; `P_c = P_stop + k·x/A`, seat load without process `A·P_c − friction`. Air to close:
 * coupled at the end of the bench set; seat load `(most − high)·A − friction`.
 * Verdict: `fit`; `ask` where the load is less than wanted, or full travel would take more air than there is; `stop`
 * where nothing is left to press it on its seat.
 * Errors: air to open without the pressure at its stop, air to close without the most air; an end not above its start.
 * Source: statics; common practice. Example: 69 in², 3–15 psig, 3/4 in, 250 lbf and 60 lbf of friction, stop at 3 psig →
 * 0.093 in off the stop, coupled at 4.5 psig.
 */
export const actuatorCoupling: Working<typeof input, Coupling> = {
  id: 'actuator.coupling',
  title: 'Coupling a stem for its seat load',
  asks: ['couple', 'coupling', 'stem', 'preload', 'off the stop', 'seat load', 'connector', 'air to open'],
  meaning: 'With what air on, and how far off its own stop, an actuator is coupled so that it shuts tight.',
  input,
  results: {
    coupleAt: 'Coupled at',
    offStop: 'Off its own stop by',
    benchLow: 'Bench set as coupled, start',
    benchHigh: 'Bench set as coupled, end',
    seatLoad: 'Seat load, no process',
    verdict: 'Verdict',
  },
  source: SOURCE,
  work: coupling,
};

function coupling(given: Given): Result<Worked<Coupling>> {
  if (si(given.benchHigh) <= si(given.benchLow))
    return inConflict(['benchLow', 'benchHigh'], 'The end of the bench set must be above its start.');
  return given.action === 'air to open' ? shutBySpring(given) : shutByAir(given);
}

function shutBySpring(given: Given): Result<Worked<Coupling>> {
  const { area, travel, benchLow, benchHigh, wantedLoad, friction, stopPressure, mostAir } = given;
  if (!stopPressure)
    return inConflict(
      ['stopPressure'],
      'Give the pressure at which the uncoupled stem leaves its stop: air on until it just moves.',
    );
  const sheet = sheetFor(area, travel);
  const rate = (si(area) * (si(benchHigh) - si(benchLow))) / si(travel);
  const wanted = (si(wantedLoad) + si(friction) - si(area) * si(stopPressure)) / rate;
  const off = Math.max(si(COUPLED_OFF_STOP), wanted);
  const at = si(stopPressure) + (rate * off) / si(area);
  const high = at + (rate * si(travel)) / si(area);
  const load = si(area) * at - si(friction);
  const [coupleAt, benchEnd] = [sheet.of('gauge pressure', at), sheet.of('gauge pressure', high)];
  const offStop = sheet.of('length', off);
  const tooHigh = mostAir !== undefined && high > si(mostAir);
  return ok({
    result: {
      coupleAt,
      offStop,
      benchLow: coupleAt,
      benchHigh: benchEnd,
      seatLoad: sheet.of('force', load),
      verdict: load <= 0 ? 'stop' : tooHigh ? 'ask' : 'fit',
    },
    steps: [
      line('Spring rate', 'A · (high − low) / travel', '', sheet.of('stiffness', rate)),
      line(
        'Off its stop',
        '((load + friction) − A · P_stop) / k',
        `((${shown(wantedLoad)} + ${shown(friction)}) − ${shown(area)} · ${shown(stopPressure)}) / k`,
        off > wanted ? `${shown(offStop)}, the least there is` : offStop,
      ),
      line('Coupled at', 'P_stop + k · x / A', '', coupleAt),
      line('Full travel at', 'P_c + k · travel / A', '', benchEnd),
      line('Seat load', 'A · P_c − friction', '', sheet.of('force', load)),
    ],
    notes: [
      'Never coupled on the stop: the stop would take the spring, and the seat have no load.',
      ...(tooHigh && mostAir
        ? [
            `Full travel would take ${shown(benchEnd)}, and there is ${shown(mostAir)}: ask, or a softer spring.`,
          ]
        : []),
    ],
    source: SOURCE,
  });
}

function shutByAir({
  area,
  travel,
  benchLow,
  benchHigh,
  wantedLoad,
  friction,
  mostAir,
}: Given): Result<Worked<Coupling>> {
  if (!mostAir)
    return inConflict(['mostAir'], 'Give the most air that reaches the casing: here air does the shutting.');
  const sheet = sheetFor(area, travel);
  const load = (si(mostAir) - si(benchHigh)) * si(area) - si(friction);
  const seatLoad = sheet.of('force', load);
  const steps: Step[] = [
    line('Coupled at', 'the end of the bench set', '', benchHigh),
    line(
      'Seat load',
      '(most − high) · A − friction',
      `(${shown(mostAir)} − ${shown(benchHigh)}) · ${shown(area)} − ${shown(friction)}`,
      seatLoad,
    ),
  ];
  return ok({
    result: {
      coupleAt: benchHigh,
      benchLow,
      benchHigh,
      seatLoad,
      verdict: load <= 0 ? 'stop' : load < si(wantedLoad) ? 'ask' : 'fit',
    },
    steps,
    notes: [
      'At least 1/16 in of actuator travel is left beyond the seat.',
      ...(load < si(wantedLoad)
        ? ['Less than is wanted: a positioner with more supply, or a lower bench set.']
        : []),
    ],
    source: SOURCE,
  });
}
