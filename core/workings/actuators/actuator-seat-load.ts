import { z } from 'zod';
import { ok, outOfRange, type Result } from '../../problem';
import { formatNumber, quantity, si, valueIn, type Force } from '../../quantity';
import {
  CLASS_V_SEAT_LOAD,
  COMMON_PRACTICE,
  FCI_CLASSES,
  SEAT_LOAD_LBF_PER_INCH,
  type FciClass,
  type Source,
} from '../../standards';
import { choiceField, quantityField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  seatDiameter: quantityField('length', { label: 'Seat diameter', example: '2 in' }),
  leakClass: choiceField(FCI_CLASSES, { label: 'Leak class' }),
  difference: quantityField(
    'pressure difference',
    { label: 'Pressure difference, shut', example: '300 psi' },
    'not negative',
  ).exactOptional(),
});

export interface SeatLoad {
  load: Force;
  loadLow: Force;
}

const SOURCE: Source = { ...COMMON_PRACTICE, name: 'Seat load guidance by leak class', fromMemory: 'low' };

/**
 * Seat load that a leak class wants: lbf per inch of seat circumference, II 20, III 40, IV 40–80, V 40 + 0.10–0.15 per
 * psi, VI 300 (metal seats). `load` is the high end of the range, `loadLow` its low end.
 * Errors: class V without a pressure difference. Source: handbook practice, from memory; soft seats by the maker.
 * Example: 2 in, class II → 126 lbf.
 */
export const actuatorSeatLoad: Working<typeof input, SeatLoad> = {
  id: 'actuator.seat-load',
  title: 'Seat load for a leak class',
  asks: ['seat load', 'shut off', 'leak class', 'lbf per inch', 'actuator size'],
  meaning: 'How hard a plug must be pressed on its seat for a leak class.',
  input,
  results: { load: 'Seat load wanted', loadLow: 'At the very least' },
  source: SOURCE,
  work: seatLoad,
};

function perInch(leakClass: FciClass, psi: number | undefined): { low: number; high: number } | undefined {
  if (leakClass !== 'V') return SEAT_LOAD_LBF_PER_INCH[leakClass];
  if (psi === undefined) return undefined;
  const { base, perPsiLow, perPsiHigh } = CLASS_V_SEAT_LOAD;
  return { low: base + perPsiLow * psi, high: base + perPsiHigh * psi };
}

function seatLoad(given: z.output<typeof input>): Result<Worked<SeatLoad>> {
  const rate = perInch(given.leakClass, given.difference && valueIn(given.difference, 'psi'));
  if (!rate) return outOfRange('difference', 'nothing', 'the pressure difference', 'class V grows with it');
  const inchesRound = Math.PI * valueIn(given.seatDiameter, 'in');
  const sheet = sheetFor(given.seatDiameter, given.difference);
  const force = (perInchRound: number) =>
    sheet.of('force', si(quantity('force', perInchRound * inchesRound, 'lbf')));
  const [load, loadLow] = [force(rate.high), force(rate.low)];
  return ok({
    result: { load, loadLow },
    steps: [
      line(
        'Load per inch round',
        `class ${given.leakClass}`,
        given.difference ? shown(given.difference) : '',
        rate.low === rate.high
          ? `${rate.low} lbf/in`
          : `${formatNumber(rate.low, 1)} to ${formatNumber(rate.high, 1)} lbf/in`,
      ),
      line('Seat load', 'load per inch × π · seat diameter', `× π × ${shown(given.seatDiameter)}`, load),
    ],
    notes: ['Metal seats. A soft seat takes the load its maker gives; more only cuts it.'],
    source: SOURCE,
  });
}
