import { z } from 'zod';
import { inConflict, ok, type Result } from '../../problem';
import { degrees, formatNumber, inches, si, valueIn, type Length } from '../../quantity';
import { API_600, formatSize, WEDGE_HALF_ANGLE, wearTravel, wedgeSink } from '../../standards';
import { quantityField, sizeField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  removed: quantityField(
    'length',
    { label: 'Taken off wedge and seat on one side', example: '5 thou' },
    'not negative',
  ),
  halfAngle: quantityField('angle', { label: 'Half angle of the wedge', example: '5°' }).exactOptional(),
  wearTravel: quantityField('length', {
    label: 'Wear travel',
    example: '0.13 in',
    oneOf: { of: 'How far it may drop', as: 'wear travel' },
  }).exactOptional(),
  size: sizeField({
    label: 'Size',
    example: 'NPS 6',
    inExample: true,
    oneOf: { of: 'How far it may drop', as: 'by its size' },
  }).exactOptional(),
  alreadySunk: quantityField(
    'length',
    { label: 'Sunk already', example: '0.02 in' },
    'not negative',
  ).exactOptional(),
});

export interface WedgeDrop {
  sink: Length;
  left?: Length;
  verdict: 'fit' | 'renew' | 'ask';
}

/** Beyond this a wedge is none. */
const STEEPEST_DEGREES = 45;

/**
 * How far a wedge sinks when metal comes off its faces and seats: `removed / sin(half angle)`, removed being what comes
 * off wedge and seat together on one side, square to the face, both sides alike. What is left of the wear travel that
 * API 600 gives a new wedge of its size, less what it has sunk already.
 * Verdict: `fit` with travel left, nought included; `renew` with less; `ask` when neither travel nor size is known.
 * Errors: a half angle over 45°; a size and a travel both. Source: API 600; geometry.
 * Example: 10 thou at 5° → 0.1147 in.
 */
export const seatWedgeDrop: Working<typeof input, WedgeDrop> = {
  id: 'seat.wedge-drop',
  title: 'How far a wedge sinks',
  asks: ['wedge', 'gate', 'sink', 'wear travel', 'rides low', 'api 600', 'lapped'],
  meaning: 'How much lower a wedge sits after its faces and seats were lapped, and whether it still may.',
  input,
  results: { sink: 'It sinks', left: 'Travel left', verdict: 'Verdict' },
  source: API_600,
  work: (given): Result<Worked<WedgeDrop>> => {
    const half = given.halfAngle ? valueIn(given.halfAngle, '°') : WEDGE_HALF_ANGLE;
    if (half > STEEPEST_DEGREES)
      return inConflict(['halfAngle'], `A half angle of ${formatNumber(half, 1)}° is no wedge.`);
    if (given.wearTravel && given.size)
      return inConflict(['wearTravel', 'size'], 'Give the wear travel or the size, one of the two.');
    const sheet = sheetFor(given.removed, given.wearTravel);
    const length = (metres: number) => sheet.of('length', metres, { US: 'in', SI: 'mm' });
    const sink = wedgeSink(si(given.removed), half);
    const travel = given.wearTravel ?? wearTravel(given.size?.nps);
    const before = given.alreadySunk ? si(given.alreadySunk) : 0;
    const left = travel && si(travel) - before - sink;
    const steps = [
      line(
        'It sinks',
        'removed / sin(half angle)',
        `${shown(given.removed)} / sin ${formatNumber(half, 2)}°`,
        length(sink),
      ),
    ];
    if (left === undefined)
      return ok({
        result: { sink: length(sink), verdict: 'ask' },
        steps,
        notes: ['Give the size or the wear travel to tell whether it has that to sink.'],
        source: API_600,
      });
    return ok({
      result: { sink: length(sink), left: length(left), verdict: left >= -ROUNDING ? 'fit' : 'renew' },
      steps: [
        ...steps,
        line(
          'Travel left',
          'wear travel − sunk already − sinks',
          `${shown(length(si(travel ?? inches(0))))} − ${shown(length(before))} − ${shown(length(sink))}`,
          length(left),
        ),
      ],
      notes: [
        ...(given.size
          ? [`Wear travel is that of a new ${formatSize(given.size)} wedge: measure how high it rides now.`]
          : []),
        `Each thou off a face lets it sink ${formatNumber(1 / Math.sin((half * Math.PI) / 180), 1)} thou at ${shown(degrees(half))}.`,
      ],
      source: API_600,
    });
  },
};

const ROUNDING = 1e-12;
