import { quantity } from '../../quantity';
import type { MeasureAsk } from '../../task';
import { countAsk, seenRound, settledRound, taken } from '../blocks/taken';
import { CAUTIONS } from '../cautions';
import { feature, type Context, type Draft } from '../draft';
import { proving, rebuild, sequence, strip } from '../sequence';
import type { ClosureProcedure } from './closure';

const PILOT = feature('pilot-operated diaphragm under a solenoid');

/** A solenoid over a pilot orifice: armature, equalising orifice, diaphragm and its cone spring. */
export const pilotDiaphragm: ClosureProcedure = {
  steps: (c) => [...apart(c), ...together(c), ...proved(c)],
};

function apart(c: Context): Draft[] {
  return sequence(c, strip(PILOT, ['marked']), [
    {
      id: 'strip.coil',
      title: 'Power off; coil levered off',
      why: 'An energised coil off its tube burns out in minutes. A screwdriver under both sides in turn.',
      tools: ['screwdriver'],
      caution: 'Proved dead first: a live coil off its armature burns out, and bites.',
      off: ['coil'],
      minutes: 3,
    },
    {
      id: 'strip.armature',
      title: 'Four screws; lift the tube holding the armature; its spring and O-ring out',
      why: 'Held, or spring and armature drop out. Dirt here holds it up or down.',
      tools: ['screwdriver'],
      off: ['armature screws', 'armature', 'armature spring', 'armature O-ring'],
      minutes: 5,
    },
    {
      id: 'strip.equalising-orifice',
      title: 'Equalising orifice out; hold it to the light',
      why: 'No light: clear it with a needle.',
      tools: ['needle'],
      off: ['equalising orifice', 'orifice O-ring'],
      minutes: 4,
    },
    {
      id: 'strip.cover',
      title: 'Cover: four screws; cover and both its O-rings off',
      tools: ['screwdriver'],
      why: 'Evenly: the cone spring pushes lightly.',
      off: ['cover screws', 'cover', 'cover O-ring'],
      minutes: 4,
    },
    {
      id: 'strip.diaphragm',
      title: 'Pilot orifice, cone spring, diaphragm out; wipe them',
      why: 'Which way up each lies is seen first.',
      task: seenRound('metal disc of the diaphragm', 'cone spring'),
      consumables: ['lint-free cloth'],
      off: ['pilot orifice', 'cone spring', 'diaphragm'],
      minutes: 4,
    },
  ]);
}

function together(c: Context): Draft[] {
  return sequence(c, rebuild(PILOT, [], 'trim in', 'closed'), [
    {
      id: 'rebuild.diaphragm',
      title: 'Diaphragm in, metal disc up; cone spring, wide end on the diaphragm; pilot orifice',
      why: 'The narrow end in the cover.',
      task: settledRound('metal disc of the diaphragm', 'cone spring'),
      caution: 'Disc down, or spring turned over, and it never shuts.',
      on: ['diaphragm', 'cone spring', 'pilot orifice'],
      minutes: 5,
    },
    {
      id: 'rebuild.cover',
      title: 'Both O-rings under the cover there? Cover on to its mark, four screws crosswise',
      why: 'Counted before it goes down: two under the cover; the armature and the orifice have one each of their own.',
      caution: 'Turned a quarter, the cover shuts the pilot passage.',
      on: ['cover O-ring', 'cover', 'cover screws'],
      minutes: 5,
    },
    {
      id: 'rebuild.equalising-orifice',
      title: 'Equalising orifice: its O-ring seated, its metal joint felt home with the fingers, tight',
      why: 'Loose, it never builds the pressure that shuts it.',
      on: ['orifice O-ring', 'equalising orifice'],
      minutes: 3,
    },
    {
      id: 'rebuild.armature',
      title: 'O-ring pressed in, armature and its spring, tight coils at the top; four screws',
      why: 'The tight coils guide it in the tube.',
      task: settledRound('armature spring'),
      on: ['armature O-ring', 'armature', 'armature spring', 'armature screws'],
      minutes: 4,
    },
    {
      id: 'rebuild.magnet',
      title: 'A permanent magnet on the tube: does the armature click?',
      why: 'It lifts and drops: tried before the coil takes the place of the magnet, and before any power.',
      tools: ['permanent magnet'],
      parts: ['armature'],
      minutes: 3,
    },
    {
      id: 'rebuild.coil',
      title: 'Coil on to its mark',
      why: 'Before the power, never after.',
      on: ['coil'],
      minutes: 3,
    },
  ]);
}

const TIMES = quantity('count', 5, 'pieces');

/** Five of five: one that it misses is a coil, an armature or an orifice on its way out (common practice). */
const everyTime = (what: string): MeasureAsk => ({
  ...countAsk(what, '5 pieces'),
  mustBe: { from: TIMES, to: TIMES },
});

function proved(c: Context): Draft[] {
  return [
    ...sequence(c, proving(PILOT, ['rebuilt']), [
      {
        id: 'test.power',
        title: 'Power on',
        why: 'By a person qualified for it; out of its line, from a bench supply of its own.',
        caution: 'Covers on first. Never on a coil that is off its armature.',
        parts: ['coil'],
        minutes: 3,
      },
      {
        id: 'test.function',
        title: 'Opens, shuts and holds, five times',
        why: 'Does not open or shut: equalising orifice. Does not hold: pilot orifice, diaphragm, armature.',
        caution: CAUTIONS.pressure,
        parts: ['diaphragm', 'pilot orifice'],
        task: taken(everyTime('times it opened'), everyTime('times it shut and held')),
        minutes: 6,
      },
    ]),
  ];
}
