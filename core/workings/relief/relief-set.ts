import { z } from 'zod';
import { inConflict, ok, outOfRange, type Result } from '../../problem';
import { formatNumber, quantity, si, valueIn, type GaugePressure, type Ratio } from '../../quantity';
import {
  SPRING_RANGE_SHARE,
  ASME_I,
  ASME_VIII,
  SECTION_I_BLOWDOWN,
  SET_TOLERANCES,
  USUAL_BLOWDOWN,
  leastBlowdown,
  SECTION_VIII_FROM_PSIG,
  toleranceAt,
} from '../../standards';
import { choiceField, factorField, quantityField } from '../frame/field';
import { line, sheetFor, shown, type Sheet } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';
import { setAndCode } from './set-and-code';

const input = z.strictObject({
  ...setAndCode,
  backPressure: quantityField(
    'gauge pressure',
    { label: 'Constant back pressure', example: '20 psig' },
    'not negative',
  ).exactOptional(),
  temperatureFactor: factorField(
    { label: 'Temperature factor of the maker', example: '1.02' },
    0.8,
    1.5,
  ).exactOptional(),
  reseat: quantityField(
    'gauge pressure',
    { label: 'Reseated at', example: '235 psig' },
    'not negative',
  ).exactOptional(),
  design: choiceField(['conventional', 'bellows'], { label: 'Design' }).exactOptional(),
});

type Given = z.output<typeof input>;

export interface ReliefSet {
  low: GaugePressure;
  high: GaugePressure;
  coldSet: GaugePressure;
  blowdownPercent?: Ratio;
}

/**
 * Set pressure of a relief valve: `low` and `high` bound what it may pop at; `coldSet`, the cold differential test
 * pressure = (set − constant back pressure) × temperature factor (a bellows cancels the back pressure); blowdown =
 * (set − reseat)/set. Tolerance, VIII: ±2 psi to 70 psig, ±3 % above; I: ±2 to 70, ±3 % to 300, ±10 psi to 1000, ±1 %.
 * Errors: a back pressure or a reseat not below set. Source: ASME BPVC VIII (XIII), Section I.
 * Example: 100 psig, VIII → 97 to 103; 250 psig, Section I → 242.5 to 257.5.
 */
export const reliefSet: Working<typeof input, ReliefSet> = {
  id: 'relief.set',
  title: 'Set pressure of a relief valve',
  asks: [
    'relief',
    'set pressure',
    'pop',
    'blowdown',
    'cold differential',
    'cdtp',
    'safety valve',
    'tolerance',
  ],
  meaning: 'Between what pressures it may pop, what to set it to on the bench, and how far it blew down.',
  input,
  results: {
    low: 'May pop from',
    high: 'and up to',
    coldSet: 'Set it on the bench to (CDTP)',
    blowdownPercent: 'Blowdown',
  },
  source: ASME_VIII,
  work: set,
};

function set(given: Given): Result<Worked<ReliefSet>> {
  const { setPressure, backPressure, reseat } = given;
  const source = given.code === 'I' ? ASME_I : ASME_VIII;
  const psig = valueIn(setPressure, 'psig');
  if (backPressure && si(backPressure) >= si(setPressure))
    return inConflict(
      ['backPressure'],
      'The back pressure is not below the set pressure: the valve could never open.',
    );
  if (reseat && si(reseat) >= si(setPressure))
    return outOfRange(
      'reseat',
      shown(reseat),
      `below the set pressure, ${shown(setPressure)}`,
      'it closes on falling pressure',
    );
  if (given.code === 'VIII' && psig < SECTION_VIII_FROM_PSIG)
    return outOfRange(
      'setPressure',
      shown(setPressure),
      `${SECTION_VIII_FROM_PSIG} psig or more`,
      'below that Section VIII does not apply: the maker and the code of the tank decide',
    );
  const sheet = sheetFor(setPressure);
  const tolerance = toleranceAt(SET_TOLERANCES[given.code], psig);
  const [low, high] = [psig - tolerance.psi, psig + tolerance.psi].map((each) => inSheet(sheet, each)) as [
    GaugePressure,
    GaugePressure,
  ];
  const factor = given.temperatureFactor ?? 1;
  const counted = backPressure && given.design !== 'bellows' ? valueIn(backPressure, 'psig') : 0;
  const coldSet = inSheet(sheet, (psig - counted) * factor);
  const blowdown = reseat && 1 - si(reseat) / si(setPressure);
  return ok({
    result: {
      low,
      high,
      coldSet,
      ...(blowdown === undefined ? {} : { blowdownPercent: quantity('ratio', blowdown * 100, '%') }),
    },
    steps: [
      line(
        'Tolerance',
        `${source.name} at ${shown(setPressure)}`,
        `± ${tolerance.words}`,
        `${shown(low)} to ${shown(high)}`,
      ),
      line(
        'Cold differential test pressure',
        '(set − constant back pressure) × temperature factor',
        `(${shown(setPressure)} − ${shown(inSheet(sheet, counted))}) × ${factor}`,
        coldSet,
      ),
      ...(reseat && blowdown !== undefined
        ? [
            line(
              'Blowdown',
              '(set − reseat) / set',
              `(${shown(setPressure)} − ${shown(reseat)}) / ${shown(setPressure)}`,
              `${formatNumber(blowdown * 100, 2)} %`,
            ),
          ]
        : []),
    ],
    notes: [
      ...(blowdown === undefined ? [] : [blowdownNote(given.code, psig, blowdown)]),
      ...(given.design === 'bellows' && backPressure
        ? ['The bellows cancels the back pressure: it is not taken off.']
        : []),
      'In many places only an authorised repairer may set and seal a relief valve.',
      `Three consistent pops. A spring is not set more than ${SPRING_RANGE_SHARE * 100} % off its marked range.`,
    ],
    source,
  });
}

const inSheet = (sheet: Sheet, psig: number): GaugePressure =>
  sheet.of('gauge pressure', si(quantity('gauge pressure', psig, 'psig')));

/** Which ring, which way (from memory: the maker's sheet says which and by how many). */
const SHORTER =
  'Shorter: the upper ring up, a few notches at a time, and pop again (from memory; the maker’s sheet says how many).';
const LONGER =
  'Longer: the upper ring down, a few notches at a time; the lower ring up where it simmers long (from memory; the maker’s sheet first).';

function blowdownNote(code: Given['code'], psig: number, blowdown: number): string {
  if (code === 'VIII') {
    const usual = blowdown <= USUAL_BLOWDOWN.high + 1e-9;
    return usual
      ? 'Blowdown is no more than usual (7 to 10 %; the code sets no limit in use).'
      : `Blowdown is more than the usual 7 to 10 %. ${SHORTER}`;
  }
  const most = toleranceAt(SECTION_I_BLOWDOWN, psig);
  const over = blowdown * psig > most.psi + 1e-9;
  const under = blowdown * psig < leastBlowdown(psig) - 1e-9;
  return `Section I blowdown: at most ${most.words}${over ? `, and this is over it. ${SHORTER} At` : '; at'} least 2 psi or 2 %${under ? `, and this is under it: it will chatter. ${LONGER}` : '.'}`;
}
