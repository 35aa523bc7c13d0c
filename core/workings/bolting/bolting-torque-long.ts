import { z } from 'zod';
import { ok, outOfRange, type Result } from '../../problem';
import { formatNumber, quantity, si, type Length, type Torque } from '../../quantity';
import { heavyHexAcrossFlats, standard, type Thread } from '../../standards';
import { nominalDiameter, pitchOf, stressArea } from './bolting-stress-area';
import { factorField, quantityField, threadField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  thread: threadField({ label: 'Stud thread', example: '3/4-10' }),
  preload: quantityField('force', { label: 'Preload', example: '16,700 lbf' }),
  threadFriction: factorField({ label: 'Friction in the thread', example: '0.12' }, 0.01, 0.6),
  collarFriction: factorField({ label: 'Friction under the nut', example: '0.12' }, 0.01, 0.6),
  collarDiameter: quantityField('length', {
    label: 'Mean diameter of the nut face',
    example: '1 in',
  }).exactOptional(),
});

export interface LongTorque {
  torque: Torque;
  stretchShare: Torque;
  threadShare: Torque;
  collarShare: Torque;
}

const LONG_FORM = standard('ASME PCC-1', 'torque with thread and collar friction', 'medium');
const HALF_FLANK_ANGLE = Math.PI / 6;
/** No stud steel yields above this. */
const STRONGEST = si(quantity('stress', 150, 'ksi'));
const USUAL_YIELD = si(quantity('stress', 105, 'ksi'));
const PITCH_DIAMETER_OFF = 0.649519;

/**
 * Torque with thread and collar friction apart: `T = F·(p/2π + μt·d2/(2 cos 30°) + μc·Dc/2)`, d2 = D − 0.6495 p.
 * Without a collar diameter, the mean of the nominal diameter and the width across flats of the nut.
 * Errors: frictions outside 0.01 to 0.6; a preload of more than 150 ksi. Source: ASME PCC-1; the same formula in any text on threads.
 * Example: 3/4-10, 17 559 lbf, both 0.13 → about 193 lbf·ft.
 */
export const boltingTorqueLong: Working<typeof input, LongTorque> = {
  id: 'bolting.torque-long',
  title: 'Torque from thread and nut friction',
  asks: ['long form', 'torque', 'friction', 'collar', 'nut face'],
  meaning: 'The torque for a preload when the friction of the thread and of the nut face are known apart.',
  input,
  results: {
    torque: 'Torque',
    stretchShare: 'Part that stretches the stud',
    threadShare: 'Part lost in the thread',
    collarShare: 'Part lost under the nut',
  },
  source: LONG_FORM,
  work: torque,
};

function torque(given: z.output<typeof input>): Result<Worked<LongTorque>> {
  const { thread, threadFriction, collarFriction } = given;
  const sheet = sheetFor(given.preload, nominalDiameter(thread));
  const force = si(given.preload);
  const inStud = force / si(stressArea(thread));
  if (inStud > STRONGEST)
    return outOfRange(
      'preload',
      shown(given.preload),
      `up to ${shown(sheet.of('force', STRONGEST * si(stressArea(thread))))}, 150 ksi`,
      'any stud would yield',
    );
  const pitch = si(pitchOf(thread));
  const collar = given.collarDiameter ?? usualCollar(thread);
  const pitchDiameter = si(nominalDiameter(thread)) - PITCH_DIAMETER_OFF * pitch;
  const stretch = (force * pitch) / (2 * Math.PI);
  const inThread = (force * threadFriction * pitchDiameter) / (2 * Math.cos(HALF_FLANK_ANGLE));
  const underNut = (force * collarFriction * si(collar)) / 2;
  const [total, stretchShare, threadShare, collarShare] = [
    stretch + inThread + underNut,
    stretch,
    inThread,
    underNut,
  ].map((each) => sheet.of('torque', each)) as [Torque, Torque, Torque, Torque];
  const load = shown(given.preload);
  return ok({
    result: { torque: total, stretchShare, threadShare, collarShare },
    steps: [
      line(
        'Stretches the stud',
        'F · p / 2π',
        `${load} × ${shown(sheet.of('length', pitch))} / 2π`,
        stretchShare,
      ),
      line(
        'Friction in the thread',
        'F · μt · d2 / (2 cos 30°), d2 = D − 0.6495 p',
        `${load} × ${threadFriction} × ${shown(sheet.of('length', pitchDiameter))} / 1.732`,
        threadShare,
      ),
      line(
        'Friction under the nut',
        'F · μc · Dc / 2',
        `${load} × ${collarFriction} × ${shown(collar)} / 2`,
        collarShare,
      ),
      line('Torque', 'the three together', '', total),
    ],
    notes: [
      `Only ${formatNumber((stretch / (stretch + inThread + underNut)) * 100, 0)} % of the torque stretches the stud: a little more friction is a lot less preload.`,
      ...(inStud > 0.7 * USUAL_YIELD
        ? [
            `${shown(sheet.of('stress', inStud, { US: 'ksi', SI: 'MPa' }))} in the stud: over 70 % of the yield of B7.`,
          ]
        : []),
      ...(given.collarDiameter
        ? []
        : ['Nut face taken as the mean of the nominal diameter and the width across flats of the nut.']),
    ],
    source: LONG_FORM,
  });
}

/** Mean of nominal diameter and width across flats: heavy hex (inch), 1.5 d (metric). */
function usualCollar(thread: Thread): Length {
  const inch = thread.series === 'unified';
  const diameter = inch ? thread.diameterIn : thread.diameterMm;
  const flats = inch ? heavyHexAcrossFlats(diameter) : 1.5 * diameter;
  return { dimension: 'length', value: (diameter + flats) / 2, unit: inch ? 'in' : 'mm' };
}
