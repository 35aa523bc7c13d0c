import { z } from 'zod';
import { ok, outOfRange, type Result } from '../../problem';
import { formatNumber, si, valueIn, type Length } from '../../quantity';
import { API_600, COMMON_PRACTICE, LEAST_HARD_FACING_MM, type Source } from '../../standards';
import { amountField, choiceField, quantityField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  removed: quantityField('length', { label: 'Taken off, square to the face', example: '5 thou' }),
  angle: amountField('angle', '°', { label: 'Angle of the face', example: '30°' }),
  angleFrom: choiceField(
    ['axis', 'face plane'],
    { label: 'Angle is measured from' },
    { face: 'face plane' },
  ).exactOptional(),
  stock: quantityField('length', { label: 'Stock before the cut', example: '0.125 in' }),
  minimum: quantityField('length', { label: 'Least stock to keep', example: '1/16 in' }, 'not negative'),
});

type Given = z.output<typeof input>;

export interface SeatReface {
  drop: Length;
  stockLeft: Length;
  cutsLeft: number;
}

const SOURCE: Source = { ...COMMON_PRACTICE, name: 'Geometry of a cone seat' };

/** A face nearer to its axis than this is a wedge or a cylinder, radians. */
const LEAST_CONE = (3 * Math.PI) / 180;

/**
 * What refacing a cone costs: the disc drops by `t / sin α`, α from the axis (`t / cos α` from the face plane); stock
 * left = stock − t; further cuts of the same depth = ⌊(stock left − minimum)/t⌋, all measured square to the face.
 * Errors: an angle outside 0 to 90°, or under 3° from the axis; a cut that goes under the minimum. Source: geometry; API 600 for hard facing.
 * Example: 5 thou at 30° from the axis → drop 10 thou.
 */
export const seatReface: Working<typeof input, SeatReface> = {
  id: 'seat.reface',
  title: 'Refacing a seat: drop and stock',
  asks: ['reface', 'seat', 'drop', 'stock', 'how many times', 'cut', 'hard facing'],
  meaning: 'How far the disc sinks when a seat is refaced, and how many times it can be done again.',
  input,
  results: { drop: 'Disc drops by', stockLeft: 'Stock left', cutsLeft: 'Further cuts like it' },
  source: SOURCE,
  work: reface,
};

function reface(given: Given): Result<Worked<SeatReface>> {
  const angle = si(given.angle);
  const from = given.angleFrom ?? 'axis';
  if (angle >= Math.PI / 2 + 1e-9 || (from === 'face plane' && angle > (89 * Math.PI) / 180))
    return outOfRange('angle', shown(given.angle), 'more than 0 and up to 90°', 'a seat face is no steeper');
  if (from === 'axis' && angle < LEAST_CONE)
    return outOfRange(
      'angle',
      shown(given.angle),
      '3° or more',
      'that is no cone: a wedge is seat.wedge-drop',
    );
  const [removed, stock, least] = [si(given.removed), si(given.stock), si(given.minimum)];
  if (stock - removed < least - 1e-12)
    return outOfRange(
      'removed',
      shown(given.removed),
      `no more than the stock above the least, ${shown(given.stock)} − ${shown(given.minimum)}`,
      'the facing would be too thin: renew the seat',
    );
  const sheet = sheetFor(given.removed, given.stock);
  const drop = sheet.of('length', removed / (from === 'axis' ? Math.sin(angle) : Math.cos(angle)));
  const left = sheet.of('length', stock - removed);
  const cuts = Math.floor((stock - removed - least) / removed + 1e-9);
  const shownAngle = `${formatNumber(valueIn(given.angle, '°'), 2)}°`;
  return ok({
    result: { drop, stockLeft: left, cutsLeft: cuts },
    steps: [
      line(
        'Drop of the disc',
        from === 'axis' ? 't / sin α, α from the axis' : 't / cos α, α from the face plane',
        `${shown(given.removed)} at ${shownAngle}`,
        drop,
      ),
      line('Stock left', 'stock − t', `${shown(given.stock)} − ${shown(given.removed)}`, left),
      line(
        'Further cuts like it',
        '⌊(stock left − least) / t⌋',
        `⌊(${shown(left)} − ${shown(given.minimum)}) / ${shown(given.removed)}⌋`,
        String(cuts),
      ),
    ],
    notes: [
      'The drop uses up the yoke’s match-mark travel and the stroke: write it on the job.',
      `Finished hard facing keeps at least ${LEAST_HARD_FACING_MM} mm (${API_600.name}, from memory).`,
    ],
    source: SOURCE,
  });
}
