import { z } from 'zod';
import {
  fitEqualReadings,
  fitRunout,
  LEAST_FOR_VERDICT,
  LEAST_READINGS,
  type RunoutFit,
} from '../../analysis';
import { inConflict, ok, tooFew, type Result } from '../../problem';
import { degrees, formatNumber, inches, si, valueIn, type Angle, type Length } from '../../quantity';
import { COMMON_PRACTICE, type Source } from '../../standards';
import { anglesField, choiceField, quantitiesField, quantityField } from '../frame/field';
import { line, sheetFor, shown, type Sheet } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';
import { alongStem, stationsField, type Station } from './stations';

const SOURCE: Source = { ...COMMON_PRACTICE, name: 'Harmonic fit of dial readings round a stem' };

/** How much of an oval a dial over the V-block shows: 1 + cos 2(90° + α/2) / sin(α/2), none at all on 60° (handbook). */
const BLOCK_GAIN = { '90': 1, '108': 1.38, '120': 1.58 } as const;

const input = z.strictObject({
  readings: quantitiesField(
    'length',
    {
      label: 'Dial readings, one turn',
      inExample: true,
      example: '0 thou; 1.2 thou; 2.1 thou; 2.4 thou; 2 thou; 1.1 thou; 0.2 thou; -0.3 thou',
    },
    360,
  ).exactOptional(),
  angles: anglesField({ label: 'Angles, where not equal' }, 360).exactOptional(),
  closing: quantityField(
    'length',
    { label: 'The first place read again', example: '0.1 thou' },
    'any',
  ).exactOptional(),
  vBlock: choiceField(['60', '90', '108', '120'], { label: 'Angle of the V-blocks, °' }).exactOptional(),
  stations: stationsField.exactOptional(),
  supports: quantitiesField('length', { label: 'Supports, two places' }, 2).exactOptional(),
  limit: quantityField('length', {
    label: 'Limit on the total indicator reading',
    example: '5 thou',
  }).exactOptional(),
  ovalLimit: quantityField('length', { label: 'Limit on the out-of-round' }).exactOptional(),
});

export type RunoutVerdict = 'fit' | 'renew' | 'regrind or renew' | 'ask' | 'no limit given';

export interface StemRunout {
  tir: Length;
  bow: Length;
  /** Absent where there is no bow to speak of. */
  bowAngle?: Angle;
  outOfRound: Length;
  /** How far the dial crept in the turn; taken off. */
  creep?: Length;
  /** Where along the stem it is worst, and where it is bent. */
  worstAt?: Length;
  bendAt?: Length;
  verdict: RunoutVerdict;
}

/**
 * Bend of a stem on V-blocks from dial readings round it, the first at 12 o'clock, at equal angles or at those given.
 * Fits `c + A1·cos(θ − φ1) + A2·cos(2θ − φ2)`: bow = A1 at φ1 (its TIR is 2·A1); out-of-round = 4·A2 on the diameter,
 * which is not bend, over the gain of the V-block (90° unless given; on 60° an oval does not show). The first place
 * read again, as `closing` or as a last reading that plainly is one, tells how far the dial crept: taken off and said.
 * With stations along the stem the worst of them counts, the line through the supports taken off, and the place is
 * found where the axis turns.
 * Verdict: `fit` within the limit; `renew` when the bow is the larger part, `regrind or renew` when the ovality is or
 * is over its own limit; `ask` with fewer than eight readings; `no limit given`.
 * Errors: fewer than five readings; as many angles as readings, or fewer different ones than five; neither readings nor
 * stations. Source: harmonic analysis; limits are the site's.
 * Example: twelve readings of a pure cosine of 3 thou → TIR 6 thou, bow 3 thou, out-of-round 0.
 */
export const stemRunout: Working<typeof input, StemRunout> = {
  id: 'stem.runout',
  title: 'Runout of a stem',
  asks: ['runout', 'bent stem', 'tir', 'dial', 'v-block', 'straight'],
  meaning:
    'How far a stem is bent, where its high spot is, and how much of the reading is only out-of-round.',
  input,
  results: {
    tir: 'Total indicator reading',
    bow: 'Bow (axis offset)',
    bowAngle: 'High spot, from the first reading',
    outOfRound: 'Out-of-round on the diameter',
    creep: 'Creep of the dial, taken off',
    worstAt: 'Worst at',
    bendAt: 'Bent at about',
    verdict: 'Verdict',
  },
  source: SOURCE,
  work: runout,
};

type Given = z.output<typeof input>;

function runout(given: Given): Result<Worked<StemRunout>> {
  const { stations, readings } = given;
  if (stations && stations.length > 0) return ofStations(given, stations);
  if (!readings)
    return inConflict(['readings', 'stations'], 'Give the readings, or stations along the stem.');
  const fit = fitted(given, readings);
  return fit.ok ? ok(answerFor(given, fit.value, sheetOf(given, readings))) : fit;
}

const sheetOf = ({ limit }: Given, readings: readonly Length[]): Sheet => sheetFor(...readings, limit);

function fitted({ angles, closing }: Given, readings: readonly Length[]): Result<RunoutFit> {
  if (readings.length < LEAST_READINGS)
    return tooFew(
      'readings',
      readings.length,
      LEAST_READINGS,
      'bow and out-of-round cannot be told apart with fewer; eight or more are wanted',
    );
  if (angles && angles.length !== readings.length)
    return inConflict(
      ['angles', 'readings'],
      `There are ${angles.length} angles and ${readings.length} readings.`,
    );
  const values = readings.map((reading) => si(reading));
  if (!angles && !closing) {
    const fit = fitEqualReadings(values);
    if (fit) return ok(fit);
  }
  const turn = angles ? closedTurn(values, angles, closing) : { readings: values };
  const fit = fitRunout({ ...turn, ...(closing ? { closing: si(closing) } : {}) });
  return fit
    ? ok(fit)
    : inConflict(['angles'], 'These angles are too much alike: read all the way round the stem.');
}

/** Readings at angles; one at 360° is the first place again. */
function closedTurn(values: readonly number[], angles: readonly Angle[], closing: Length | undefined) {
  const turns = angles.map((angle) => si(angle));
  const last = (turns.at(-1) ?? 0) - (turns[0] ?? 0);
  const again = values.at(-1);
  if (closing || again === undefined || Math.abs(last - 2 * Math.PI) > 0.02)
    return { readings: values, angles: turns };
  return { readings: values.slice(0, -1), angles: turns.slice(0, -1), closing: again };
}

function answerFor(given: Given, fit: RunoutFit, sheet: Sheet): Worked<StemRunout> {
  const small = (metres: number) => sheet.of('length', metres, { US: 'thou', SI: 'mm' });
  const gain = given.vBlock === '60' ? undefined : BLOCK_GAIN[given.vBlock ?? '90'];
  const [tir, bow] = [small(fit.tir), small(fit.bow)];
  const outOfRound = small((4 * fit.ovality) / (gain ?? 1));
  const hasBow = fit.bow > Math.max(LEAST_BOW, (2 * fit.residual) / Math.sqrt(fit.count / 2));
  const bowAngle = degrees((fit.bowAngle * 180) / Math.PI);
  const n = `n = ${fit.count}`;
  const creeps = Math.abs(fit.creep) > ROUNDING;
  return {
    result: {
      tir,
      bow,
      ...(hasBow ? { bowAngle } : {}),
      outOfRound,
      ...(creeps ? { creep: small(fit.creep) } : {}),
      verdict: verdictOn(given, fit, si(outOfRound)),
    },
    steps: [
      line('Total indicator reading', 'largest − smallest', `over ${fit.count} readings`, tir),
      line(
        'Bow',
        'A1 = (2/n)·√((Σ r·cos θ)² + (Σ r·sin θ)²)',
        n,
        hasBow ? `${shown(bow)} at ${formatNumber(bowAngle.value, 0)}°` : shown(bow),
      ),
      line('Runout from the bow alone', '2 × A1', `2 × ${shown(bow)}`, small(2 * fit.bow)),
      line(
        'Out-of-round',
        gain === undefined || gain === 1
          ? '4 × A2 (same sum with 2θ)'
          : `4 × A2 / ${gain} (gain of the V-block)`,
        `4 × ${shown(small(fit.ovality))}`,
        outOfRound,
      ),
      line('Not explained (noise, a nick, dirt)', 'root mean square of what is left', n, small(fit.residual)),
    ],
    notes: [
      ...(fit.count < LEAST_FOR_VERDICT
        ? ['Eight readings or more are wanted for a verdict; this is a rough figure.']
        : []),
      ...(creeps
        ? [
            `The first place read again differs by ${shown(small(fit.creep))}: the dial crept, taken off evenly.`,
          ]
        : []),
      ...(fit.residual > Math.max(SMALL_RESIDUAL, fit.tir / 40)
        ? [
            'The readings do not follow a smooth ring: a place skipped, a dial that creeps, dirt or a nick: clean the stem and the blocks and read again, the first place once more at the end.',
          ]
        : []),
      given.vBlock === '60'
        ? 'On 60° V-blocks an oval does not show at all: read it on 90° blocks, or with a micrometer.'
        : 'On 60° V-blocks an oval does not show at all; 90° blocks show it in full.',
    ],
    source: SOURCE,
  };
}

/** A dial of half a thou a line, read by eye, leaves no more than this. */
const SMALL_RESIDUAL = 0.2 * 25.4e-6;
/** Less than this no dial shows, metres. */
const LEAST_BOW = si(inches(2e-5));
/** A hundred-millionth of a metre: rounding, not runout. */
const ROUNDING = 1e-11;

function verdictOn({ limit, ovalLimit }: Given, fit: RunoutFit, oval: number): RunoutVerdict {
  if (limit === undefined && ovalLimit === undefined) return 'no limit given';
  if (fit.count < LEAST_FOR_VERDICT) return 'ask';
  if (limit && fit.tir > si(limit) + ROUNDING) return fit.bow >= fit.ovality ? 'renew' : 'regrind or renew';
  return ovalLimit && oval > si(ovalLimit) + ROUNDING ? 'regrind or renew' : 'fit';
}

/** The same at each station; the worst counts, and the place of the bend is where the axis turns. */
function ofStations(given: Given, stations: readonly Station[]): Result<Worked<StemRunout>> {
  const fits: { at: Length; fit: RunoutFit }[] = [];
  for (const { at, readings } of stations) {
    const fit = fitted(given, readings);
    if (!fit.ok) return fit;
    fits.push({ at, fit: fit.value });
  }
  const along = alongStem(fits, given.supports);
  if (!along.ok) return along;
  const { worst, bendAt, bows } = along.value;
  const sheet = sheetOf(
    given,
    stations.flatMap(({ readings }) => readings),
  );
  const answer = answerFor(given, worst.fit, sheet);
  const place = (at: Length) => sheet.of('length', si(at), { US: 'in', SI: 'mm' });
  const small = (metres: number) => sheet.of('length', metres, { US: 'thou', SI: 'mm' });
  return ok({
    ...answer,
    result: {
      ...answer.result,
      worstAt: place(worst.at),
      ...(bendAt ? { bendAt: place(bendAt) } : {}),
    },
    steps: [
      ...bows.map(({ at, bow, angle }) =>
        line(
          `Bow at ${shown(place(at))}`,
          given.supports ? 'the line through the supports taken off' : 'as read',
          `${formatNumber((angle * 180) / Math.PI, 0)}°`,
          small(bow),
        ),
      ),
      ...answer.steps,
    ],
    notes: [
      ...answer.notes,
      ...(bendAt ? [`The axis turns most at about ${formatNumber(valueIn(bendAt, 'in'), 1)} in.`] : []),
    ],
  });
}
