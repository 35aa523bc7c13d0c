import { phrase, quantity } from '../../quantity';
import { boltUpTo } from '../blocks/bolting';
import { CAUTIONS } from '../cautions';
import { feature, type Context, type Draft } from '../draft';
import { proving, rebuild, sequence, strip } from '../sequence';
import type { ClosureProcedure } from './closure';

const PILOT = feature('diaphragm housing over a reversible seat');

/** A dump disc under its diaphragm housing: link, bonnet, diaphragms, seat. */
export const dumpDisc: ClosureProcedure = {
  steps: (c) => [...housingOff(c), ...housingOn(c), ...proved(c)],
};

const TEN = quantity('torque', 10, 'lbf·ft');

function housingOff(c: Context): Draft[] {
  return sequence(c, strip(PILOT, ['lever off']), [
    {
      id: 'strip.bonnet',
      title: 'Bonnet bolts, two opposing last; bonnet and gasket off',
      why: 'Two opposing hold it if anything is still pushing.',
      caution: CAUTIONS.slack,
      off: ['bonnet bolts', 'bonnet', 'bonnet gasket'],
      minutes: 10,
    },
    {
      id: 'strip.link',
      title: 'Snap rings, link pin, trunnion hub off',
      why: 'Hub: note which side faces the inlet.',
      off: ['snap rings', 'link pin', 'trunnion hub'],
      minutes: 5,
    },
    {
      id: 'strip.diaphragm-bolt',
      title: 'Diaphragm bolt, retainer, upper diaphragm',
      why: 'The upper diaphragm is renewed with its kit.',
      off: ['diaphragm bolt', 'diaphragm retainer', 'upper diaphragm'],
      tools: ['crow-foot'],
      minutes: 6,
    },
    {
      id: 'strip.housing',
      title: 'Housing bolts, housing off by its lifting rings',
      why: 'Straight up off the stem.',
      caution: CAUTIONS.lift,
      off: ['housing bolts', 'lifting rings', 'housing'],
      minutes: 10,
    },
    {
      id: 'strip.stem-pin',
      title: 'Stem pin out, stem off',
      why: 'It joins stem and diaphragm assembly.',
      off: ['stem pin', 'stem'],
      minutes: 4,
    },
    {
      id: 'strip.diaphragm',
      title: 'Pivot out; plate, diaphragm, ratio plug, reversible seat, disc apart',
      why: 'Note which way up each lies.',
      off: ['pivot', 'diaphragm plate', 'diaphragm', 'ratio plug', 'reversible seat', 'dump disc'],
      minutes: 8,
    },
    {
      id: 'strip.seat',
      title: 'Removable seat: leave it alone if it is sound and there is no seat wrench',
      why: 'Corrosion where the seat meets the body means a new body.',
      caution: 'A seat started with a pipe wrench is a scrapped seat.',
      tools: ['seat wrench'],
      parts: ['removable seat', 'body'],
      optional: 'only if the seat is worn',
      minutes: 10,
    },
    {
      id: 'strip.holes',
      title: 'Communication hole and equalising port clear',
      why: 'Blocked, the valve does not close or dumps early.',
      tools: ['wire'],
      parts: ['housing', 'body'],
      minutes: 4,
    },
  ]);
}

const torque = (c: Context, bolts: number, value: number) =>
  boltUpTo(c, bolts, quantity('torque', value, 'lbf·ft'), `${value} lbf·ft, criss-cross.`);

function housingOn(c: Context): Draft[] {
  const { joint } = c.features;
  const bolts = ('bolts' in joint ? joint.bolts : undefined) ?? 8;
  return sequence(c, rebuild(PILOT, ['stem repaired'], 'trim in', 'closed'), [
    {
      id: 'rebuild.drip-pot-clean',
      title: 'Clean drip pot and needle valve',
      why: 'In no kit, and always cleaned.',
      parts: ['drip pot', 'needle valve'],
      consumables: ['solvent'],
      minutes: 5,
    },
    {
      id: 'rebuild.seat',
      title: 'Seat greased and snug',
      why: 'Snug is enough.',
      caution: 'More, and its gasket tears.',
      parts: ['removable seat'],
      consumables: ['grease for the elastomer'],
      minutes: 4,
    },
    {
      id: 'rebuild.diaphragm',
      title: 'Disc, reversible seat, ratio plug, diaphragm the right way up, plate; pivot to its torque',
      why: phrase`Pivot to ${TEN}. Upside down it is cut by its plate.`,
      caution: 'Wrong way up it works on the bench and fails in service.',
      tools: ['torque wrench'],
      on: ['dump disc', 'reversible seat', 'ratio plug', 'diaphragm', 'diaphragm plate', 'pivot'],
      minutes: 10,
    },
    {
      id: 'rebuild.stem',
      title: 'Stem in, pin held while it goes in',
      why: 'The pin drops into the body if it is let go.',
      on: ['stem', 'stem pin'],
      minutes: 5,
    },
    {
      id: 'rebuild.housing',
      title:
        'Housing on: equalising port 90° anticlockwise from the inlet, lifting rings opposite each other',
      why: 'The shaft comes out on the other side.',
      caution: CAUTIONS.lift,
      on: ['housing', 'lifting rings'],
      minutes: 8,
    },
    {
      id: 'rebuild.housing-bolts',
      title: 'Housing bolts by hand, then criss-cross',
      why: 'By hand first, or the diaphragm creeps.',
      caution: CAUTIONS.cheater,
      tools: ['torque wrench'],
      on: ['housing bolts'],
      task: torque(c, bolts, 25),
      minutes: 12,
    },
    {
      id: 'rebuild.diaphragm-bolt',
      title: 'Upper diaphragm, retainer, diaphragm bolt with a crow-foot',
      why: phrase`To ${TEN}. There is no room for a socket; at 90° to the wrench the figure stays the same.`,
      caution: 'In line with the wrench the crow-foot adds to the torque: set it lower.',
      tools: ['torque wrench', 'crow-foot'],
      on: ['upper diaphragm', 'diaphragm retainer', 'diaphragm bolt'],
      minutes: 8,
    },
    {
      id: 'rebuild.link',
      title: 'Trunnion hub towards the inlet, arrows up; link pin, two snap rings',
      why: 'The other way round the lever lifts the wrong way.',
      on: ['trunnion hub', 'link pin', 'snap rings'],
      minutes: 6,
    },
    {
      id: 'rebuild.bonnet',
      title: 'New gasket, bonnet on, marks meeting',
      why: 'Faces clean and dry.',
      on: ['bonnet gasket', 'bonnet'],
      minutes: 6,
    },
    {
      id: 'rebuild.bolt-up',
      title: 'Bonnet bolts criss-cross',
      why: 'Crosswise and in passes.',
      caution: CAUTIONS.cheater,
      tools: ['torque wrench', 'socket'],
      on: ['bonnet bolts'],
      task: torque(c, bolts, 25),
      minutes: 12,
    },
  ]);
}

function proved(c: Context): Draft[] {
  return sequence(c, proving(PILOT), [
    {
      id: 'test.function',
      title: 'Fill and watch: dumps at its head, shuts tight after',
      why: 'Dumping early or not shutting: seat, weight, a blocked pot or communication hole.',
      caution: CAUTIONS.pressure,
      parts: ['dump disc', 'reversible seat'],
      minutes: 15,
    },
  ]);
}
