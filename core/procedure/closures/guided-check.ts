import { boltUp } from '../blocks/bolting';
import { seenRound, settledRound } from '../blocks/taken';
import { springCoverOff, springCoverOn } from '../blocks/spring-cover';
import { CAUTIONS } from '../cautions';
import { feature, type Context, type Draft } from '../draft';
import { proving, rebuild, sequence, setUp, strip } from '../sequence';
import type { ClosureProcedure } from './closure';

const INSERT = feature('guided check disc with a bypass insert');
const COVER = { bolts: 'cover bolts', cover: 'cover', spring: 'spring' } as const;

/** Pump protection: a spring-loaded cover, a guided disc, and an insert pressed in with its bushing. */
export const guidedCheck: ClosureProcedure = {
  neverInKit: 'A complete bypass insert is kept in stock: it must carry the order key of this valve.',
  identify: {
    id: 'receive.order-key',
    title: 'Match the order key of insert and valve',
    why: 'An insert of another key fits and passes another flow: the pump is not protected.',
    parts: ['bypass insert'],
    because: feature('has a bypass insert'),
    minutes: 3,
  },
  proof: {
    by: 'size',
    as: 'check',
    seat: 'metal',
    how: 'Pressure on the downstream side only, the inlet watched.',
    parts: ['check disc', 'seat'],
  },
  steps: (c) => [...apart(c), ...together(c), ...checkedOver(c), ...functional(c)],
};

/** Slid in its bore where it stands: it is pressed out only when that, or a look, says so. */
const insertComesOut = ({ calls }: Context): boolean =>
  (['bypass insert', 'vortex bushing'] as const).some((part) => {
    const call = calls.get(part);
    return call !== undefined && call.verdict !== 'fit';
  });

const apart = (c: Context): Draft[] =>
  sequence(c, strip(INSERT, ['marked']), [
    ...springCoverOff(COVER),
    {
      id: 'strip.gasket',
      title: 'Gasket out, to scrap',
      why: 'All gaskets are renewed.',
      off: ['cover gasket'],
      minutes: 2,
    },
    {
      id: 'strip.disc',
      title: 'Check disc up and out; guide rings off',
      why: 'Straight up its guides. The guide rings are renewed.',
      off: ['check disc', 'guide rings'],
      minutes: 6,
    },
    insertComesOut(c) && {
      id: 'strip.insert',
      title: 'Press insert and vortex bushing out',
      why: 'It did not slide freely, or is renewed: with the hydraulic press, square, on a sleeve. Where its outlet hole points is seen first.',
      task: seenRound('outlet hole of the vortex bushing'),
      caution: CAUTIONS.press,
      tools: ['hydraulic press', 'press sleeve'],
      off: ['bypass insert', 'vortex bushing'],
      minutes: 15,
    },
  ]);

function together(c: Context): Draft[] {
  return sequence(c, rebuild(INSERT, [], 'closed'), [
    insertComesOut(c) && {
      id: 'rebuild.insert',
      title: 'Bushing and insert pressed in on a clean pipe',
      why: 'Spotless. Threadlocker on the bushing; its outlet hole towards the bypass branch, seen by a second person.',
      task: settledRound('outlet hole of the vortex bushing'),
      caution: `The hole the wrong way shuts the bypass: the pump boils. ${CAUTIONS.press}`,
      tools: ['hydraulic press', 'clean pipe'],
      consumables: ['anaerobic threadlocker'],
      on: ['vortex bushing', 'bypass insert'],
      minutes: 15,
    },
    {
      id: 'rebuild.disc',
      title: 'New guide rings; check disc in',
      why: 'It must fall freely down its guides.',
      caution: CAUTIONS.ethylene,
      consumables: ['silicone oil or soap solution'],
      on: ['guide rings', 'check disc'],
      minutes: 6,
    },
    {
      id: 'rebuild.gasket',
      title: 'New cover gasket',
      why: 'Faces clean and dry.',
      on: ['cover gasket'],
      minutes: 3,
    },
    ...springCoverOn(COVER, { task: boltUp(c), also: ['asked'] }),
  ]);
}

function checkedOver(c: Context): Draft[] {
  return sequence(c, setUp(INSERT), [
    {
      id: 'setup.bolts',
      title: 'Every bolted joint once more: cover, bypass branch, plugs',
      why: 'A gasket settles after the first pull; one loose plug is a jet of feed water.',
      tools: ['torque wrench', 'spanners'],
      parts: ['cover bolts'],
      minutes: 6,
    },
  ]);
}

function functional(c: Context): Draft[] {
  return sequence(c, proving(INSERT, ['set up', 'rebuilt', 'seat tested']), [
    {
      id: 'test.function',
      title: 'Functional test with the pump',
      why: 'At no flow the bypass runs, at full flow it shuts: heard and felt on the branch.',
      caution: 'The pump runs only under the site’s permit.',
      optional: 'only where the valve is tested in its line',
      minutes: 20,
    },
  ]);
}
