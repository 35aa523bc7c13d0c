import { moverOf, type BoltedBonnet } from '../../valve';
import { CAUTIONS } from '../cautions';
import { closureProcedure, type Lift } from '../closures';
import { feature, type Context, type Draft } from '../draft';
import { rebuild, sequence, strip } from '../sequence';
import type { JointProcedure } from './joint';
import { boltUp, jointGap } from '../blocks/bolting';

const JOINT = feature('bolted bonnet');

/** A bonnet held by studs and nuts on a crushed gasket: slackened, lifted, and bolted up again. */
export const boltedBonnet: JointProcedure<BoltedBonnet> = {
  marks: { title: 'Match-mark bonnet to body', parts: ['bonnet', 'body'] },
  steps: (c, { gasket }) => [...takenOff(c, gasket), ...putBack(c, gasket)],
};

type Gasket = BoltedBonnet['gasket'];

const roleOf = (gasket: Gasket) => (gasket === 'seal ring' ? 'bonnet seal' : 'bonnet gasket');

/** What comes up with the bonnet. */
function liftOf({ features, has }: Context): Required<Lift> {
  const caution = CAUTIONS.lift;
  if (moverOf(features).stem === 'winds') {
    return {
      title: 'Lift handwheel and bonnet off as one',
      why: has('wedge')
        ? 'Stem and wedge come with it; tilted, the wedge scratches both seats.'
        : 'The stem and disc come with it; tilted, they scratch the seat.',
      caution,
    };
  }
  return {
    title: 'Lift the bonnet straight up',
    why: 'Plug and stem come with it, or stand in the body with the stem through it.',
    caution,
    ...closureProcedure(features).lift,
  };
}

function takenOff(c: Context, gasket: Gasket): Draft[] {
  return sequence(c, strip(JOINT, ['marked', 'actuator off', 'blind head off'], 'bonnet off'), [
    {
      id: 'strip.slack',
      title: 'Slacken gland nuts, then bonnet nuts',
      why: 'Gland first: it takes the packing’s grip off before the joint moves.',
      caution: `${CAUTIONS.slack} ${CAUTIONS.gland}`,
      tools: ['ring spanners'],
      parts: ['gland nuts', 'bonnet studs'],
      also: ['wheel nut slack'],
      minutes: 10,
    },
    {
      id: 'strip.gland-nuts',
      provides: ['gland loose'],
      title: 'Gland nuts off',
      why: 'Takes the load off the packing so that the stem moves freely.',
      off: ['gland nuts'],
      minutes: 4,
    },
    {
      id: 'strip.bonnet-nuts',
      title: 'Bonnet nuts off, two opposing last',
      why: 'Two opposing nuts hold the bonnet if anything is still pushing.',
      caution: CAUTIONS.zero,
      off: ['bonnet studs'],
      minutes: 10,
    },
    {
      id: 'strip.lift',
      ...liftOf(c),
      provides: ['bonnet lifted'],
      off: c.has('yoke') ? ['bonnet', 'yoke'] : ['bonnet'],
      tools: ['sling'],
      minutes: 8,
    },
    {
      id: 'strip.gasket',
      title: gasket === 'seal ring' ? 'Bonnet seal out, to scrap' : 'Old gasket out, to scrap',
      why: 'Once crushed it does not seal again.',
      off: [roleOf(gasket)],
      minutes: 4,
    },
  ]);
}

function putBack(c: Context, gasket: Gasket): Draft[] {
  const seal = roleOf(gasket);
  const wound = moverOf(c.features).stem === 'winds';
  return sequence(c, rebuild(JOINT, ['stem ready', 'trim in'], 'closed'), [
    {
      id: 'rebuild.gasket',
      title: seal === 'bonnet seal' ? 'New bonnet seal on its land' : `New ${gasket} gasket on the body`,
      why:
        seal === 'bonnet seal'
          ? 'Silicone grease holds it; a hair under it is a leak.'
          : 'Both faces clean and dry, the gasket centred in its recess. A crushed one is never used again.',
      caution: 'Never the old one again: once crushed it leaks.',
      on: [seal],
      consumables: [gasket === 'seal ring' ? 'silicone grease' : `bonnet gasket, ${gasket}`],
      minutes: 5,
    },
    {
      id: 'rebuild.bonnet-on',
      title: wound
        ? `Bonnet on, ${c.has('wedge') ? 'wedge' : 'disc'} fully open, marks meeting`
        : 'Bonnet on level, marks meeting',
      why: 'Square on the body all the way down; snug the nuts by hand, the gap the same at four points by feeler.',
      tools: ['feeler gauges'],
      caution: wound
        ? c.has('wedge')
          ? 'Wedge fully open before the bonnet goes down: closed, it is driven between its seats and the stem bends.'
          : `${CAUTIONS.discOpen} Square all the way: a cocked bonnet crushes its gasket on one side.`
        : 'A cocked bonnet scores guide and cage and crushes its gasket on one side.',
      on: c.has('yoke') ? ['bonnet', 'yoke'] : ['bonnet'],
      parts: ['bonnet studs'],
      consumables: ['nickel anti-seize'],
      minutes: 12,
    },
    {
      id: 'rebuild.bolt-up',
      title: 'Bolt up the bonnet',
      why: 'Crosswise and in passes, so that the gasket is crushed evenly.',
      caution: CAUTIONS.cheater,
      tools: ['torque wrench', 'socket'],
      on: ['bonnet studs'],
      task: boltUp(c),
      also: ['asked'],
      minutes: 25,
    },
    { id: 'rebuild.joint-gap', ...jointGap('bonnet'), parts: ['bonnet'] },
  ]);
}
