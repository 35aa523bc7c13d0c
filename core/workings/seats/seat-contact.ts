import { z } from 'zod';
import { readBluedRing, type BluedRing } from '../../analysis';
import { ok, type Result } from '../../problem';
import {
  formatNumber,
  inches,
  quantity,
  si,
  thou,
  valueIn,
  type Angle,
  type Length,
  type Ratio,
} from '../../quantity';
import { COMMON_PRACTICE } from '../../standards';
import { arcsField, quantityField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  diameter: quantityField('length', { label: 'Seat diameter', example: '3 in' }),
  arcs: arcsField({
    label: 'Blue line, stretch by stretch',
    exampleRows: [
      ['8', '170', '30 thou'],
      ['170', '352', '45 thou'],
    ],
  }),
  widest: quantityField('length', { label: 'Widest line allowed', example: '1/16 in' }).exactOptional(),
});

export type ContactVerdict = 'fit' | 'broken' | 'wide' | 'no contact';

export interface SeatContact {
  continuity: Ratio;
  widthMean: Length;
  widthMax: Length;
  gaps: { from: Angle; to: Angle; width: Length }[];
  verdict: ContactVerdict;
}

const USUAL_WIDEST = inches(1 / 16);

/** Shorter than this on the seat, all breaks together, is the rounding of whoever marked them: a hair is thicker. */
const OPEN_AT_MOST = thou(2);

/**
 * Contact of a disc on its seat from the blue line: share of the circle covered, breaks and how long each is on
 * the seat, line width. `fit` is a continuous narrow line: every break is a leak path, and short ones add up.
 * Verdict: `no contact`, `broken` (breaks of more than 2 thou in all), `wide`, `fit`.
 * Errors: a stretch without width. Source: common practice, about 1/64 to 1/16 in wide for hand-size valves.
 * Example: a line from 10° to 350° → 94.4 % continuous, one gap of 20°, broken.
 */
export const seatContact: Working<typeof input, SeatContact> = {
  id: 'seat.contact',
  title: 'Contact by bluing',
  asks: ['bluing', 'spotting', 'contact', 'blue line', 'seat'],
  meaning: 'Whether the disc touches its seat all the way round in a narrow line.',
  input,
  results: {
    continuity: 'Continuity',
    widthMean: 'Mean width',
    widthMax: 'Widest',
    gaps: 'Breaks',
    verdict: 'Verdict',
  },
  source: COMMON_PRACTICE,
  work: contact,
};

function contact({ diameter, arcs, widest }: z.output<typeof input>): Result<Worked<SeatContact>> {
  const ring = readBluedRing(
    arcs.map(({ from, to, width }) => ({ from: valueIn(from, '°'), to: valueIn(to, '°'), width: si(width) })),
  );
  const limit = widest ?? USUAL_WIDEST;
  const sheet = sheetFor(diameter, ...arcs.map((arc) => arc.width));
  const length = (metres: number) => sheet.of('length', metres, { US: 'in', SI: 'mm' });
  const open = (1 - ring.continuity) * Math.PI * si(diameter);
  const gaps = ring.gaps.map(({ from, to, degrees }) => ({
    from: quantity('angle', from, '°'),
    to: quantity('angle', to, '°'),
    width: length((Math.PI * si(diameter) * degrees) / 360),
  }));
  const continuity = quantity('ratio', ring.continuity * 100, '%');
  const widthMax = length(ring.widthMax);
  return ok({
    result: {
      continuity,
      widthMean: length(ring.widthMean),
      widthMax,
      gaps,
      verdict: verdictOn(ring, open, si(limit)),
    },
    steps: [
      line(
        'Continuity',
        'covered degrees ÷ 360',
        `${formatNumber(ring.continuity * 360, 1)} ÷ 360`,
        continuity,
      ),
      line(
        'Breaks',
        'π · diameter · degrees ÷ 360',
        ring.gaps.map(({ degrees }) => `${formatNumber(degrees, 1)}°`).join(', ') || 'none',
        gaps.map((gap) => shown(gap.width)).join(', ') || 'none',
      ),
      line('Widest line', `no more than ${shown(length(si(limit)))}`, '', widthMax),
    ],
    notes: ['Wipe and repeat on the other member: both must show the same line.'],
    source: COMMON_PRACTICE,
  });
}

function verdictOn({ continuity, widthMax }: BluedRing, open: number, limit: number): ContactVerdict {
  if (continuity === 0) return 'no contact';
  if (open > si(OPEN_AT_MOST)) return 'broken';
  return widthMax > limit * (1 + 1e-9) ? 'wide' : 'fit';
}
