import { putRound, seenRound } from '../blocks/taken';
import { CAUTIONS } from '../cautions';
import { feature, type Context, type Draft } from '../draft';
import { stepName } from '../relations';
import { rebuild, sequence, strip } from '../sequence';
import type { ClosureProcedure } from './closure';

const CARTRIDGE = feature('ball in a cage on a reversible seat cartridge');

const CARTRIDGE_OUT = stepName('strip.cartridge');

/** Ball and cage on a stem over a cartridge with two seats: turned once, renewed the second time. */
export const ballInCage: ClosureProcedure = {
  proof: { by: 'class' },
  lift: {
    title: 'Lift bonnet, stem, ball and cage together',
    why: 'Control ball and cage as they clear the body: they are loose on the stem.',
    caution: `${CAUTIONS.lift} A falling ball marks its own seat.`,
  },
  steps: (c) => [...apart(c), ...together(c)],
};

function apart(c: Context): Draft[] {
  return sequence(c, strip(CARTRIDGE, ['bonnet off'], 'stem out'), [
    {
      id: 'strip.stem',
      title: 'Ball, cage and stem out of the bonnet',
      why: 'Ball first, then the cage off the stem, then the stem down out of its packing.',
      caution: 'Control ball and cage as they clear.',
      off: ['ball', 'ball cage', 'stem'],
      minutes: 8,
    },
    {
      id: CARTRIDGE_OUT,
      title: 'Cartridge out, evenly',
      why: 'Cocked, it jams in its bore. Which end faced upstream is seen before it is turned about.',
      task: seenRound('numbered end of the cartridge'),
      off: ['cartridge'],
      minutes: 10,
    },
    {
      id: 'strip.seat-gaskets',
      title: 'Seat gaskets, guide pin and its gasket, wear bushings and their gaskets',
      why: 'Every gasket is discarded.',
      off: ['seat gaskets', 'guide pin', 'guide pin gasket', 'wear bushings', 'bushing gaskets'],
      minutes: 12,
    },
  ]);
}

function together(c: Context): Draft[] {
  const { seat } = c.features;
  const first = seat.kind === 'cartridge' && seat.service === 'first';
  return sequence(c, rebuild(CARTRIDGE, ['stem repaired'], 'trim in'), [
    {
      id: 'rebuild.wear-bushings',
      title: 'Wear bushings with new gaskets; guide pin with its new gasket',
      why: 'White lithium grease holds metal gaskets in place, silicone grease holds O-rings.',
      consumables: ['white lithium grease', 'silicone grease'],
      on: ['bushing gaskets', 'wear bushings', 'guide pin gasket', 'guide pin'],
      minutes: 10,
    },
    first
      ? {
          id: 'rebuild.cartridge',
          title: 'Turn the cartridge 180° and in, new seat gaskets',
          why: 'First service: the unused upstream seat becomes the downstream one. The second time it wants new seats.',
          task: putRound(CARTRIDGE_OUT, 'numbered end of the cartridge', { turned: true }),
          caution: 'Not written down, the next one turns a worn seat back into service.',
          consumables: ['white lithium grease'],
          on: ['seat gaskets', 'cartridge'],
          minutes: 10,
        }
      : {
          id: 'rebuild.cartridge',
          title: 'Cartridge with new seats in, new seat gaskets',
          why: 'Second service: both seats have been used.',
          task: putRound(CARTRIDGE_OUT, 'numbered end of the cartridge'),
          consumables: ['white lithium grease'],
          on: ['seat gaskets', 'cartridge'],
          minutes: 10,
        },
    {
      id: 'rebuild.ball',
      title: 'Stem, cage and ball together, in as one',
      why: 'The ball free in its cage: the flow seats it, the actuator only places it.',
      caution: 'Position-seated: too much thrust or over-stroke breaks stem, cage, ball or guide pin.',
      on: ['stem', 'ball cage', 'ball'],
      minutes: 8,
    },
  ]);
}
