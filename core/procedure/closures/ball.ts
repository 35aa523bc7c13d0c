import { CAUTIONS } from '../cautions';
import { feature, type Context } from '../draft';
import { rebuild, sequence, setUp, strip } from '../sequence';
import { boltUp, boltUpTo } from '../blocks/bolting';
import { phrase, quantity } from '../../quantity';
import { boltedJoint } from '../../valve';
import type { ClosureProcedure } from './closure';
import { taken } from '../blocks/taken';
import { TURNED_AS_FOUND, turnedBy, turnedNoHarder } from '../blocks/turning';

const TURNED_BY = turnedBy('ball', '5 lbf·ft');
const CAPS = feature('three-piece body, soft seats');

/** A ball between two end caps: the body swings out of the pipe, seats and seals are renewed at both ends. */
export const ball: ClosureProcedure = {
  proof: {
    by: 'size',
    as: 'floating ball',
    seat: 'soft',
    how: 'Closed; air at low pressure from each side in turn, the other side watched for bubbles.',
    parts: ['ball', 'soft seats'],
  },
  steps: (c) => [...apart(c), ...back(c), ...cycled(c)],
};

const apart = (c: Context) =>
  sequence(c, strip(CAPS, ['marked'], 'stem out'), [
    {
      id: TURNED_AS_FOUND,
      title: 'What it takes to turn it, as found',
      why: 'Before a bolt is slackened: what it takes as left is held against it.',
      tools: ['torque wrench'],
      parts: ['ball', 'soft seats'],
      task: taken(TURNED_BY),
      minutes: 3,
    },
    {
      id: 'strip.body-bolts',
      title: 'Body bolts out',
      why: 'With the valve half open and depressured, the cavity is empty.',
      caution: CAUTIONS.slack,
      off: ['body bolts'],
      minutes: 6,
    },
    {
      id: 'strip.end-caps',
      title: 'Spread the pipe, end caps off',
      why: 'Just enough to lift the body out.',
      caution: 'A sprung pipe closes on fingers: wedge it open.',
      tools: ['pipe spreader'],
      off: ['end caps'],
      minutes: 8,
    },
    {
      id: 'strip.seals',
      title: 'Seat, inner body seal, outer body seal out of both ends',
      why: 'Plastic pick only; the ball stays closed while the seats come out.',
      caution: CAUTIONS.wood,
      tools: ['plastic pick'],
      off: ['soft seats', 'inner body seals', 'outer body seals'],
      minutes: 8,
    },
    {
      id: 'strip.ball',
      title: 'Lever to shut, ball out',
      why: 'Only shut does the slot of the ball lie along the flow and slide off the tongue of the stem.',
      caution: 'A dropped ball is a scrapped ball.',
      off: ['ball'],
      minutes: 3,
    },
    {
      id: 'strip.stem',
      title: 'Lock, nut and lever off; stem pushed into the body and out, its seals off',
      why: 'Inwards: its shoulder is what keeps it from being blown out.',
      caution: CAUTIONS.wood,
      tools: ['plastic pick'],
      off: (['lever lock', 'lever nut', 'lever', 'stem', 'stem seals'] as const).filter(c.has),
      minutes: 6,
    },
  ]);

const HALF_INCH = quantity('torque', 250, 'lbf·in');

/** A half-inch valve is pulled up to 250 lbf·in (common practice); larger ones by their bolts. */
function joint(c: Context) {
  const bolts = boltedJoint(c.features)?.bolts;
  return (c.valve.nps ?? 1) <= 0.5 && bolts !== undefined
    ? boltUpTo(c, bolts, HALF_INCH, 'A half-inch three-piece valve.')
    : boltUp(c);
}

function back(c: Context) {
  return sequence(c, rebuild(CAPS, ['stem repaired'], 'trim in', 'closed'), [
    {
      id: 'rebuild.stem',
      title: 'New stem seals, stem in from inside; lever, nut and lock on',
      why: 'One seal under its shoulder, one above; the nut until the stem turns without play.',
      caution: 'A twisted seal shows only on test: look all round.',
      on: (['stem seals', 'stem', 'lever', 'lever nut', 'lever lock'] as const).filter(c.has),
      minutes: 6,
    },
    {
      id: 'rebuild.ball',
      title: 'Ball on the tongue of the stem, lever to shut',
      why: 'Shut, as it came off: the slot slides on to the tongue along the flow.',
      on: ['ball'],
      minutes: 3,
    },
    {
      id: 'rebuild.seals',
      title: 'New outer seal, inner seal, seat, both ends',
      why: 'In that order, each fully home.',
      caution: 'A twisted seal shows only on test: look all round.',
      on: ['outer body seals', 'inner body seals', 'soft seats'],
      minutes: 8,
    },
    {
      id: 'rebuild.end-caps',
      title: 'End caps on, marks meeting',
      why: 'The body goes back between them without dragging a seal.',
      on: ['end caps'],
      minutes: 6,
    },
    {
      id: 'rebuild.bolt-up',
      title: 'Body bolts criss-cross, in stages',
      why: phrase`Even: a cocked cap cuts its seal. A half-inch valve takes ${HALF_INCH}.`,
      caution: CAUTIONS.cheater,
      tools: ['torque wrench', 'socket'],
      on: ['body bolts'],
      task: joint(c),
      also: ['asked'],
      minutes: 12,
    },
  ]);
}

function cycled(c: Context) {
  return sequence(c, setUp(CAPS), [
    {
      id: 'setup.cycle',
      title: 'Cycle a few times and feel for interference',
      why: 'A tight place is a seat not home or a bolt pulled up crooked. The effort is written down: the next one is held against it.',
      tools: ['torque wrench'],
      task: turnedNoHarder(c, TURNED_BY),
      parts: ['ball', 'soft seats'],
      minutes: 3,
    },
  ]);
}
