import { phrase, quantity } from '../../quantity';
import { boltUpTo } from '../blocks/bolting';
import { dumpsAtHead } from '../blocks/dump-head';
import { CAUTIONS } from '../cautions';
import { feature, type Context, type Draft } from '../draft';
import { proving, rebuild, sequence, strip } from '../sequence';
import type { ClosureProcedure } from './closure';
import { putRound, seenRound, settledRound } from '../blocks/taken';
import { torqued } from '../blocks/torqued';
import { stepName } from '../relations';

const STACK_APART = stepName('strip.diaphragm');
const PILOT = feature('diaphragm housing over a reversible seat');

/** A dump disc under its diaphragm housing: link, bonnet, diaphragms, seat. */
export const dumpDisc: ClosureProcedure = {
  torques: ['pivot', 'diaphragm bolt'],
  steps: (c) => [...housingOff(c), ...housingOn(c), ...proved(c)],
};

/** The bonnet has four, whatever the housing has. */
const BONNET_BOLTS = 4;

const TEN = quantity('torque', 10, 'lbf·ft');

function housingOff(c: Context): Draft[] {
  return sequence(c, strip(PILOT, ['lever off']), [
    {
      id: 'strip.bonnet',
      title: 'Four bonnet bolts, two opposing last; bonnet pried off if it sticks; gasket',
      why: 'Two opposing hold it if anything is still pushing.',
      caution: CAUTIONS.slack,
      off: ['bonnet bolts', 'bonnet', 'bonnet gasket'],
      minutes: 10,
    },
    {
      id: 'strip.link',
      title: 'Snap rings, link pin, trunnion hub off',
      why: 'Which side of the hub faces the inlet is seen first.',
      task: seenRound('rounded side of the trunnion hub'),
      off: ['snap rings', 'link pin', 'trunnion hub'],
      minutes: 5,
    },
    {
      id: 'strip.diaphragm-bolt',
      title: 'Diaphragm bolt out with the stem, straight up',
      why: 'Straight, so that the pin that joins them does not drop into the body.',
      caution: 'A pin in the body is found by taking everything apart.',
      off: ['diaphragm bolt', 'stem'],
      tools: ['crow-foot'],
      minutes: 6,
    },
    {
      id: 'strip.stem-pin',
      title: 'Pin out, stem drawn through the bolt; retainer, upper diaphragm',
      why: 'The upper diaphragm goes to scrap: it is in the kit.',
      off: ['stem pin', 'diaphragm retainer', 'upper diaphragm'],
      minutes: 5,
    },
    {
      id: 'strip.housing',
      title: 'Housing bolts, housing off by its lifting rings',
      why: 'Straight up.',
      caution: CAUTIONS.lift,
      off: ['housing bolts', 'lifting rings', 'housing'],
      minutes: 10,
    },
    {
      id: STACK_APART,
      title: 'Plate neck in the vice: pivot out; ratio plug, reversible seat, disc, diaphragm off the plate',
      why: 'Letters and numbers up on each part; which face of the seat has worked.',
      task: seenRound('letters and numbers', 'numbered face of the reversible seat'),
      tools: ['vice, soft jaws'],
      off: ['pivot', 'diaphragm plate', 'diaphragm', 'ratio plug', 'reversible seat', 'dump disc'],
      minutes: 8,
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

/** Worn on one face: it goes back on the other. */
const turnedOver = ({ calls }: Context): boolean => calls.get('reversible seat')?.method === 'turn over';

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
      id: 'rebuild.diaphragm',
      title: 'Upside down, plate neck in the vice: diaphragm, disc, reversible seat, ratio plug on the plate',
      why: turnedOver(c)
        ? 'Letters and numbers up, each part; the seat turned over on to its unworn face.'
        : 'Letters and numbers up, each part; the seat as it lay.',
      caution: 'Wrong way up it works on the bench and fails in service.',
      tools: ['vice, soft jaws'],
      on: ['diaphragm plate', 'diaphragm', 'dump disc', 'reversible seat', 'ratio plug'],
      task: {
        kind: 'way-round',
        rounds: [
          ...settledRound('letters and numbers').rounds,
          ...putRound(
            STACK_APART,
            'numbered face of the reversible seat',
            turnedOver(c) ? { turned: true } : {},
          ).rounds,
        ],
      },
      minutes: 8,
    },
    {
      id: 'rebuild.pivot',
      title: 'Pivot on, to torque',
      why: phrase`To ${TEN}, the plate neck in the vice.`,
      tools: ['vice, soft jaws', 'torque wrench'],
      on: ['pivot'],
      task: torqued(c, 'pivot', TEN),
      minutes: 3,
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
      id: 'rebuild.stem',
      title: 'Upper diaphragm, retainer numbers up; stem through the bolt, pin held, then into the plate',
      why: 'The pin drops into the body if it is let go.',
      on: ['upper diaphragm', 'diaphragm retainer', 'stem', 'stem pin'],
      minutes: 6,
    },
    {
      id: 'rebuild.diaphragm-bolt',
      title: 'Diaphragm bolt with a crow-foot',
      why: phrase`To ${TEN}. There is no room for a socket; at 90° to the wrench the figure stays the same.`,
      caution: 'In line with the wrench the crow-foot adds to the torque: set it lower.',
      tools: ['torque wrench', 'crow-foot'],
      on: ['diaphragm bolt'],
      task: torqued(c, 'diaphragm bolt', TEN, 'crow-foot'),
      minutes: 8,
    },
    {
      id: 'rebuild.link',
      title: 'Hub lifted, bonnet over it, rounded side to the inlet; link pin, two new snap rings',
      why: 'The other way round the lever lifts the wrong way.',
      task: settledRound('rounded side of the trunnion hub'),
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
      task: torque(c, BONNET_BOLTS, 25),
      minutes: 12,
    },
  ]);
}

function proved(c: Context): Draft[] {
  return sequence(c, proving(PILOT), [
    {
      id: 'test.function',
      title:
        c.place === 'in line'
          ? 'Fill and watch: dumps at its head, shuts tight after'
          : 'On a water leg: dumps at its head, shuts tight after',
      why: 'The place of its weight was computed; here it is found, and kept. Dumping early or not shutting: seat, weight, a blocked pot or communication hole.',
      caution: CAUTIONS.pressure,
      parts: ['dump disc', 'reversible seat', 'weight'],
      tools: c.place === 'in line' ? [] : ['test rig'],
      task: dumpsAtHead(c),
      minutes: 15,
    },
  ]);
}
