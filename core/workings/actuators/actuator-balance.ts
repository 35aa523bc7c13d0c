import { z } from 'zod';
import { inConflict, ok, type Result } from '../../problem';
import { formatNumber, quantity, si, valueIn, type Force, type Ratio } from '../../quantity';
import { COMMON_PRACTICE, type Source } from '../../standards';
import { choiceField, quantityField } from '../frame/field';
import { line, sheetFor, shown, type Sheet } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  area: quantityField('area', { label: 'Diaphragm area', example: '46 in²' }),
  springRate: quantityField('stiffness', { label: 'Spring rate', example: '883 lbf/in' }),
  benchLow: quantityField(
    'gauge pressure',
    { label: 'Bench set, start of travel', example: '3 psig' },
    'not negative',
  ),
  benchHigh: quantityField('gauge pressure', { label: 'Bench set, end of travel', example: '15 psig' }),
  travel: quantityField('length', { label: 'Travel', example: '5/8 in' }),
  action: choiceField(
    ['air to open', 'air to close'],
    { label: 'Action' },
    {
      'fail closed': 'air to open',
      'fail open': 'air to close',
      reverse: 'air to open',
      direct: 'air to close',
      ato: 'air to open',
      atc: 'air to close',
    },
  ),
  unbalanceArea: quantityField(
    'area',
    { label: 'Unbalanced area of the plug', example: '1.5 in²' },
    'not negative',
  ),
  difference: quantityField(
    'pressure difference',
    { label: 'Pressure difference, shut', example: '150 psi' },
    'not negative',
  ),
  packingFriction: quantityField('force', { label: 'Packing friction', example: '60 lbf' }, 'not negative'),
  flow: choiceField(
    ['over', 'under'],
    { label: 'Flow comes from over or under the plug' },
    { 'flow to close': 'over', 'flow to open': 'under' },
  ),
  supply: quantityField('gauge pressure', {
    label: 'Supply',
    example: '20 psig',
    inExample: true,
  }).exactOptional(),
});

type Given = z.output<typeof input>;

export interface ActuatorBalance {
  seatLoad: Force;
  thrustClosed: Force;
  /** What opens it off the seat, and what is left of that at full travel. */
  thrustOpenSeat?: Force;
  thrustOpen?: Force;
  marginPercent?: Ratio;
  verdict: 'shuts' | 'does not shut' | 'does not open';
}

const SOURCE: Source = { ...COMMON_PRACTICE, name: 'Force balance of a spring and diaphragm actuator' };

/**
 * Forces on a sliding stem, each judged where it acts. Air to open: the spring shuts, `A·benchLow` at the seat; supply
 * lifts off the seat with `A·(supply − benchLow)` and holds `A·(supply − benchHigh)` at full travel. Air to close: air
 * shuts, `A·(supply − benchHigh)`; the spring opens with `A·benchHigh` at the seat, `A·benchLow` at full travel.
 * Seat load = closing thrust − packing friction ± ΔP × unbalanced area (flow over the plug helps to shut, under it
 * lifts). Lifting off the seat works against friction, and against the difference where it comes from over the plug; at
 * full travel the difference is gone. Margin = what closing has left over what resists it. The spring rate checks the
 * bench set: `A·(high − low)/travel`.
 * Verdict: `shuts` (and opens, as far as the supply is given), `does not shut`, `does not open`.
 * Errors: air to close without a supply; a bench set that does not rise.
 * Source: statics; common practice. Example: 69 in², 3–15 psi, ¾ in → 1 104 lbf/in, 207 lbf at the seat.
 */
export const actuatorBalance: Working<typeof input, ActuatorBalance> = {
  id: 'actuator.balance',
  title: 'Force balance of an actuator',
  asks: ['actuator', 'bench set', 'seat load', 'thrust', 'spring', 'diaphragm', 'will it shut'],
  meaning: 'Whether the spring or the air presses the plug on its seat hard enough, and lifts it off again.',
  input,
  results: {
    seatLoad: 'Left on the seat',
    thrustClosed: 'Closing thrust at the seat',
    thrustOpenSeat: 'Opening thrust at the seat',
    thrustOpen: 'Opening thrust at full travel',
    marginPercent: 'Margin over what resists closing',
    verdict: 'Verdict',
  },
  source: SOURCE,
  work: balance,
};

/** Bench set and spring rate that differ more than this were not taken on the same spring. */
const RATE_DIFFERS = 0.1;

function balance(given: Given): Result<Worked<ActuatorBalance>> {
  const [area, low, high] = [si(given.area), si(given.benchLow), si(given.benchHigh)];
  if (high <= low)
    return inConflict(
      ['benchLow', 'benchHigh'],
      'The bench set must rise: the end of travel takes more pressure than its start.',
    );
  const airCloses = given.action === 'air to close';
  if (airCloses && !given.supply)
    return inConflict(['supply'], 'Give the supply: in air to close, air does the shutting.');
  const supply = given.supply && si(given.supply);
  const closing = airCloses ? area * ((supply ?? 0) - high) : area * low;
  const opening = openingThrust(given, area, low, high);
  const unbalance = si(given.difference) * si(given.unbalanceArea);
  const friction = si(given.packingFriction);
  const lifts = given.flow === 'under';
  const seat = closing - friction + (lifts ? -unbalance : unbalance);
  const resisting = friction + (lifts ? unbalance : 0);
  const sheet = sheetFor(given.area, given.springRate);
  const force = (newtons: number) => sheet.of('force', newtons);
  const marginPercent = resisting > 0 ? quantity('ratio', (seat / resisting) * 100, '%') : undefined;
  const holdsDown = lifts ? 0 : unbalance;
  const opens = opening === undefined || (opening.seat > friction + holdsDown && opening.full > friction);
  const verdict = seat <= 0 ? 'does not shut' : opens ? 'shuts' : 'does not open';
  return ok({
    result: {
      seatLoad: force(seat),
      thrustClosed: force(closing),
      ...(opening ? { thrustOpenSeat: force(opening.seat), thrustOpen: force(opening.full) } : {}),
      ...(marginPercent === undefined ? {} : { marginPercent }),
      verdict,
    },
    steps: [
      line(
        'Closing thrust',
        airCloses ? 'A · (supply − bench high)' : 'A · bench low',
        `A ${shown(given.area)}`,
        force(closing),
      ),
      line(
        'Unbalance',
        'ΔP × unbalanced area',
        `${shown(given.difference)} × ${shown(given.unbalanceArea)}, flow ${given.flow} the plug ${lifts ? 'lifts' : 'shuts'} it`,
        force(unbalance),
      ),
      line(
        'Left on the seat',
        'closing − friction ± unbalance',
        `${shown(force(closing))} − ${shown(given.packingFriction)} ${lifts ? '−' : '+'} ${shown(force(unbalance))}`,
        force(seat),
      ),
      ...(opening === undefined
        ? []
        : [
            line(
              'Opening thrust at the seat',
              airCloses ? 'A · bench high' : 'A · (supply − bench low)',
              `against ${shown(force(friction))} of friction and ${shown(force(holdsDown))} of unbalance`,
              force(opening.seat),
            ),
            line(
              'Opening thrust at full travel',
              airCloses ? 'A · bench low' : 'A · (supply − bench high)',
              `against ${shown(force(friction))} of friction: the difference is gone`,
              force(opening.full),
            ),
          ]),
      line(
        'Margin',
        'what is left ÷ what resists closing',
        `${shown(force(seat))} ÷ ${shown(force(resisting))}`,
        marginPercent ?? 'nothing resists',
      ),
      rateStep(given, sheet),
    ],
    notes: notesOn(given),
    source: SOURCE,
  });
}

/** What opens the plug: air against the spring, or the spring with the air let out; undefined without a supply. */
function openingThrust({ action, supply }: Given, area: number, low: number, high: number) {
  if (action === 'air to close') return { seat: area * high, full: area * low };
  return supply && { seat: area * (si(supply) - low), full: area * (si(supply) - high) };
}

const rateOf = (given: Given): number =>
  (si(given.area) * (si(given.benchHigh) - si(given.benchLow))) / si(given.travel);

function rateStep(given: Given, sheet: Sheet) {
  return line(
    'Spring rate by the bench set',
    'A · (high − low) / travel',
    `given ${shown(given.springRate)}`,
    sheet.of('stiffness', rateOf(given)),
  );
}

function notesOn(given: Given): string[] {
  const off = rateOf(given) / si(given.springRate) - 1;
  return [
    ...(Math.abs(off) > RATE_DIFFERS
      ? [
          `The bench set gives a rate ${formatNumber(Math.abs(off) * 100, 0)} % ${off > 0 ? 'above' : 'below'} the spring’s: another spring, or travel not ${shown(given.travel)}.`,
        ]
      : []),
    ...(given.supply && si(given.supply) < si(given.benchHigh)
      ? [
          `Supply ${formatNumber(valueIn(given.supply, 'psig'), 1)} psig is under the end of the bench set: no full travel.`,
        ]
      : []),
    'Compare what is left on the seat with the load its leak class wants.',
  ];
}
