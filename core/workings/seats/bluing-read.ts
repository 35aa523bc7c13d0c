import { z } from 'zod';
import { readBluingPicture, type BluingDoubt, type BluingPicture, type RingArc } from '../../analysis';
import { inConflict, ok, type Result } from '../../problem';
import { formatNumber, inches, quantity, si, type Angle, type Length, type Ratio } from '../../quantity';
import { COMMON_PRACTICE, type Source } from '../../standards';
import { pictureField, quantityField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  picture: pictureField({ label: 'Photograph of the blued seat' }),
  diameter: quantityField('length', { label: 'Seat diameter', example: '3 in' }),
});

export interface BluingRead {
  continuity: Ratio;
  widthMean: Length;
  widthMax: Length;
  gaps: { from: Angle; to: Angle; width: Length }[];
  hidden: { from: Angle; to: Angle }[];
  verdict: 'fit' | 'broken' | 'wide' | 'ask';
}

const SOURCE: Source = { ...COMMON_PRACTICE, name: 'Contact by bluing, read from a photograph' };
/** About 1/16 in is the widest line for hand-size valves (common practice). */
const USUAL_WIDEST = inches(1 / 16);
const LARGEST_PIXELS = 40_000_000;

/**
 * Contact of a disc on its seat out of a photograph: the ring of blue is found and unwrapped, the line followed at its
 * own radius, its continuity, width by angle and gaps reported, what a reflection or the picture's edge hides set
 * apart. Widths follow from the seat diameter, which is that of the line.
 * Verdict: `broken` when metal plainly shows in the line; `ask` when the picture cannot tell (a pale film in noise,
 * other blue beside the line, part of it hidden, breaks too short to be sure of); `wide` above 1/16 in; else `fit`.
 * Errors: no ring of blue whose width can be measured; a picture of more than 40 megapixels. Source: common practice.
 * Example: a break of 5° on a 3 in seat → continuity 98.6 %, one gap 0.13 in long.
 */
export const bluingRead: Working<typeof input, BluingRead> = {
  id: 'bluing.read',
  title: 'Photograph of a blued seat',
  asks: ['bluing', 'photo', 'picture', 'blue line', 'contact', 'camera', 'seat'],
  meaning: 'Continuity, width and gaps of the blue line, out of a picture.',
  input,
  results: {
    continuity: 'Continuity',
    widthMean: 'Mean width',
    widthMax: 'Widest',
    gaps: 'Breaks',
    hidden: 'Cannot be seen',
    verdict: 'Verdict',
  },
  source: SOURCE,
  work: ({ picture, diameter }): Result<Worked<BluingRead>> => {
    if (picture.width * picture.height > LARGEST_PIXELS)
      return inConflict(['picture'], 'The picture has more than 40 megapixels: make it smaller.');
    const reading = readBluingPicture(picture);
    return reading
      ? ok(contactFrom(reading, diameter))
      : inConflict(
          ['picture'],
          'No ring of blue is found in this picture. Draw a circle over it, or take it square on and sharper.',
        );
  },
};

/** The answer in lengths, once a picture has been read. */
export function contactFrom(reading: BluingPicture, diameter: Length): Worked<BluingRead> {
  const sheet = sheetFor(diameter);
  const metresPerPixel = si(diameter) / (2 * reading.circle.radius);
  const length = (metres: number) => sheet.of('length', metres, { US: 'in', SI: 'mm' });
  const angle = (degrees: number): Angle => quantity('angle', degrees, '°');
  const lengthOf = (degrees: number) => length((Math.PI * si(diameter) * degrees) / 360);
  const gaps = reading.gaps.map(({ from, to, degrees }) => ({
    from: angle(from),
    to: angle(to),
    width: lengthOf(degrees),
  }));
  const continuity: Ratio = quantity('ratio', reading.continuity * 100, '%');
  const widthMax = length(reading.widthMax * metresPerPixel);
  const words = (arcs: readonly RingArc[]) =>
    arcs.map(({ from, to }) => `${formatNumber(from, 0)}–${formatNumber(to, 0)}°`).join(', ') || 'none';
  return {
    result: {
      continuity,
      widthMean: length(reading.widthMean * metresPerPixel),
      widthMax,
      gaps,
      hidden: reading.hidden.map(({ from, to }) => ({ from: angle(from), to: angle(to) })),
      verdict: verdictOn(reading, si(widthMax)),
    },
    steps: [
      line(
        'Scale',
        'seat diameter / diameter of the ring in pixels',
        `${shown(diameter)} / ${formatNumber(2 * reading.circle.radius, 0)}`,
        `${formatNumber(metresPerPixel * 1e6, 1)} µm a pixel`,
      ),
      line('Continuity', 'blue degrees / degrees that can be seen', words(reading.gaps), continuity),
      line('Widest line', `no more than ${shown(length(si(USUAL_WIDEST)))}`, '', widthMax),
      line(
        'Cannot be seen',
        'glare, or out of the picture: left out of the continuity',
        words(reading.hidden),
        `${formatNumber(
          reading.hidden.reduce((sum, { degrees }) => sum + degrees, 0),
          1,
        )}°`,
      ),
    ],
    notes: [
      `This picture shows gaps of ${formatNumber(reading.finest, 1)}° and longer, ${shown(lengthOf(reading.finest))} on this seat: shorter ones are for the lamp and the eye.`,
      ...reading.doubts.map((doubt) => DOUBTED[doubt]),
      ...(reading.hidden.length > 0
        ? [
            'Part of the line cannot be seen: move the lamp, get all of the seat into the picture, take it again.',
          ]
        : []),
      'Wipe and repeat on the other member: both must show the same line.',
    ],
    source: SOURCE,
  };
}

function verdictOn(reading: BluingPicture, widest: number): BluingRead['verdict'] {
  const { sure, gaps, hidden, doubts } = reading;
  if (sure) return 'broken';
  if (gaps.length > 0 || hidden.length > 0 || doubts.length > 0) return 'ask';
  return widest > si(USUAL_WIDEST) * (1 + 1e-9) ? 'wide' : 'fit';
}

/** What to do about a picture that cannot be trusted. */
const DOUBTED: Readonly<Record<BluingDoubt, string>> = {
  pale: 'The film is pale against the noise of the picture: blue it a little thicker, give it more light, take it again.',
  'other blue':
    'There is other blue beside the line, a second line or a smear: whether the line itself is whole cannot be told. Wipe and repeat.',
  'two rings': 'There are two rings of blue: draw a circle over the one that is the seat.',
  'uneven width':
    'In one place the blue is much wider than elsewhere: a smear may hide a break. Wipe and repeat.',
  'little of the ring':
    'Too little of the ring is blue to tell where it lies: widths are not to be trusted. Draw the circle by hand, or look at the seat.',
  slanted: 'The picture was taken from the side: take it square on.',
  small: 'The ring is small in this picture: take it from nearer.',
  'fine breaks': 'There may be breaks too short for this picture: look with a lamp.',
};
