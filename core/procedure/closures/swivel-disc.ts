import { draft, feature, type Context, type Draft } from '../draft';
import { lookSwivel } from '../every-job/looks';
import { stepName } from '../relations';
import { rebuild, sequence, strip } from '../sequence';
import type { ClosureProcedure } from './closure';

const RING = feature('seat ring clamped in the body');

/** A disc on a swivel; its seat may be a loose ring on a gasket, held by what stands on it. */
export const swivelDisc: ClosureProcedure = {
  proof: {
    by: 'size',
    as: 'globe',
    seat: 'metal',
    how: 'Closed by hand, pressure under the disc, the outlet watched for the whole hold.',
    parts: ['seat', 'disc'],
  },
  hangsOnStem: true,
  spottedOnStem: true,
  steps: (c) => [swivel(), ...(c.has('seat ring') ? ring(c) : [])],
};

/** The look at whether the disc swivels: it is freed before it is ground in. */
export const SWIVEL = stepName('inspect.swivel');

const swivel = (): Draft =>
  draft({
    ...lookSwivel(),
    name: SWIVEL,
    stage: 'inspect',
    title: 'Disc on its stem: does it swivel?',
    why: 'It has to find its own seat; stuck, it closes on one side.',
    once: true,
    minutes: 3,
    because: feature('a disc that swivels'),
    after: ['clean to inspect'],
    provides: ['inspected'],
  });

const ring = (c: Context): Draft[] => [
  ...sequence(c, strip(RING, ['bonnet off']), [
    {
      id: 'strip.seat-ring',
      title: 'Seat ring and its gasket out',
      why: 'The gasket goes to scrap; clean both faces.',
      off: ['seat ring', 'seat gasket'],
      minutes: 5,
    },
  ]),
  ...sequence(c, rebuild(RING, [], 'trim in'), [
    {
      id: 'rebuild.seat-ring',
      title: 'New seat gasket, then seat ring',
      why: 'Clamped when the bonnet goes down.',
      on: ['seat gasket', 'seat ring'],
      minutes: 4,
    },
  ]),
];
