import { onStep } from '../../job';
import { formatExactly, psig, thou, valueIn, type Quantity } from '../../quantity';
import type { MeasureAsk, MeasureTask } from '../../task';
import { lengthAsk, pressureAsk } from '../blocks/asks';
import { CAUTIONS } from '../cautions';
import { feature, type Context, type Draft } from '../draft';
import { proving, rebuild, sequence, setUp, strip } from '../sequence';
import type { ClosureProcedure } from './closure';
import { torqued } from '../blocks/torqued';
import { stepName } from '../relations';
import { compared, countAsk, settledRound, taken } from '../blocks/taken';

const SHEAR = feature('set pressure held by a shear pin');
const PIN =
  'The pin is a safety part: only the maker’s, of the right size and alloy; never a nail, a welding rod or a bolt.';

const PINS = stepName('strip.pins');

/** A pop-off valve for slurry pumps: piston on a stem held by a pin of known shear. */
export const shearPiston: ClosureProcedure = {
  torques: ['liner sub', 'bonnet'],
  steps: (c) => [...apart(c), ...together(c), ...proved(c)],
};

function apart(c: Context): Draft[] {
  return sequence(c, strip(SHEAR, ['marked'], 'stem out'), [
    {
      id: 'strip.clamp-body',
      title: 'Clamp the body clear of nameplate and threads',
      why: 'The bonnet takes a long bar to start.',
      tools: ['vice, soft jaws'],
      parts: ['body'],
      minutes: 3,
    },
    {
      id: 'strip.safety-cover',
      title: 'Safety cover off: right-hand thread',
      why: 'It catches the pieces when the pin shears.',
      off: ['safety cover'],
      minutes: 4,
    },
    {
      id: PINS,
      title: 'Shear pin out, stem pin out',
      why: 'The pieces are kept: size and alloy against the sheet.',
      task: taken(countAsk('shear pins', '1 piece')),
      caution: PIN,
      off: ['shear pin', 'stem pin'],
      minutes: 5,
    },
    {
      id: 'strip.bonnet',
      title: 'Bonnet unscrewed, right-hand thread; bonnet, cushion and stem drawn together',
      why: 'The stem stays in its bonnet: piston and all come up with it.',
      tools: ['strap wrench or bar'],
      off: ['bonnet'],
      minutes: 6,
    },
    {
      id: 'strip.stem',
      title: 'Stem out of bonnet and cushion',
      why: 'Drawn straight: it runs in both.',
      off: ['stem'],
      minutes: 4,
    },
    {
      id: 'strip.liner-sub',
      title: 'Liner sub out with the large wrench; its O-ring off',
      why: 'The O-ring is always new.',
      tools: ['large wrench'],
      off: ['liner sub', 'sub O-ring'],
      minutes: 8,
    },
    {
      id: 'strip.cushion',
      title: 'Stem cushion off',
      why: 'Only when it is replaced. Note which side faces the pressure: away from the bonnet.',
      caution: 'Taking it off ruins it.',
      off: ['stem cushion'],
      minutes: 4,
    },
    {
      id: 'strip.piston',
      title: 'Cotter, washer, piston off, stem in soft blocks',
      why: 'The piston set is always new; the major kit brings stem and bonnet as well.',
      tools: ['soft blocks'],
      off: ['cotter', 'piston washer', 'relief piston'],
      minutes: 5,
    },
  ]);
}

function together(c: Context): Draft[] {
  return sequence(c, rebuild(SHEAR, ['stem repaired'], 'trim in', 'closed'), [
    {
      id: 'rebuild.piston',
      title: 'New piston, washer, new cotter on the stem, in soft blocks',
      why: 'Lip to the pressure; the cotter’s ends bent both ways.',
      task: settledRound('lip of the piston'),
      on: ['relief piston', 'piston washer', 'cotter'],
      minutes: 6,
    },
    {
      id: 'rebuild.cushion',
      title: 'New stem cushion, pressure side away from the bonnet',
      why: 'It takes the blow when the pin shears.',
      task: settledRound('pressure side of the cushion'),
      caution: 'The other way round it is blown out on the first pop.',
      on: ['stem cushion'],
      minutes: 4,
    },
    {
      id: 'rebuild.bonnet-free',
      title: 'Does the stem pass freely through the bonnet?',
      why: 'A stem that drags pops high: the pump takes the difference.',
      parts: ['stem', 'bonnet'],
      minutes: 3,
    },
    {
      id: 'rebuild.bonnet-in',
      title: 'Grease the bonnet and start it in the body, first of all',
      why: 'The stem goes through the body into it.',
      consumables: ['service grease'],
      parts: ['bonnet', 'body'],
      minutes: 4,
    },
    {
      id: 'rebuild.stem',
      title: 'Grease stem and piston; stem through the body into the bonnet, tapped in square',
      why: 'With a soft hammer.',
      tools: ['soft hammer'],
      consumables: ['service grease'],
      on: ['stem'],
      minutes: 5,
    },
    {
      id: 'rebuild.liner-sub',
      title: 'New O-ring, greased; sub tight',
      why: 'Before the bonnet: the sub draws the stack together.',
      tools: ['large wrench', 'torque wrench'],
      consumables: ['service grease'],
      on: ['sub O-ring', 'liner sub'],
      task: torqued(c, 'liner sub'),
      minutes: 6,
    },
    {
      id: 'rebuild.bonnet',
      title: 'Bonnet tight',
      why: 'Slack, it backs off with the pump’s shaking.',
      tools: ['strap wrench or bar', 'torque wrench'],
      on: ['bonnet'],
      task: torqued(c, 'bonnet'),
      minutes: 5,
    },
    {
      id: 'rebuild.shear-pin',
      title: 'New shear pins of the size for the set pressure; stem pin, its ends bent',
      why: 'Size, alloy and number by the maker’s table for this pressure: a figure that differs from what came out is asked about before it is fitted.',
      task: compared(PINS, countAsk('shear pins', '1 piece')),
      caution: PIN,
      on: ['shear pin', 'stem pin'],
      minutes: 5,
    },
    {
      id: 'rebuild.cover',
      title: 'Safety cover on, greased',
      why: 'Without it the pieces fly.',
      caution: 'Never run without its cover.',
      consumables: ['service grease'],
      on: ['safety cover'],
      minutes: 3,
    },
  ]);
}

function proved(c: Context): Draft[] {
  return [
    ...sequence(c, setUp(SHEAR), [
      {
        id: PIN_READ,
        title: 'Read size and number of the pins, and the set pressure they stand for in the table',
        why: 'The only setting there is. Alloy as the table has it: the word on the bag, not the colour of the pin.',
        caution: CAUTIONS.relief,
        parts: ['shear pin'],
        tools: ['caliper'],
        task: taken(...pinAsks(c)),
        minutes: 3,
      },
      {
        id: 'setup.pin-check',
        title: 'Somebody else reads them again, against the same table',
        why: 'Both must have read the same: a pin one size up has killed people.',
        caution: CAUTIONS.relief,
        parts: ['shear pin'],
        tools: ['caliper'],
        task: readAgain(c),
        minutes: 4,
      },
    ]),
    ...sequence(c, proving(SHEAR), [
      {
        id: 'test.tight',
        title: 'Water to nine tenths of set: tight',
        why: 'Nothing past the piston. It is not popped: that spends the pin.',
        caution: CAUTIONS.pressure,
        parts: ['relief piston'],
        task: taken(heldUnderSet(c)),
        minutes: 10,
      },
    ]),
  ];
}

const PIN_READ = stepName('setup.pin-read');

/** What is read of the pins. The pressure must be the one that the pump is protected at, where the plate says it. */
function pinAsks({ valve }: Context): MeasureAsk[] {
  const set = valve.plate?.setPressure;
  return [
    lengthAsk('diameter of the shear pin', '0.188 in'),
    countAsk('pins fitted', '1 piece'),
    {
      what: 'set pressure in the pin table',
      dimension: 'gauge pressure',
      example: set ? formatExactly(set) : '3000 psig',
      ...(set ? { mustBe: { from: set, to: set } } : {}),
    },
  ];
}

/** By another, and the same: a pin to two thou, the number and the pressure exactly. */
function readAgain(c: Context): MeasureTask {
  const first = c.idOf(PIN_READ);
  const asks = pinAsks(c).map((ask): MeasureAsk => {
    const read = measuredIn(c, first, ask.what);
    if (!read) return { ...ask, was: first };
    const by = (way: number): Quantity => ({
      ...read,
      value: read.value + (read.dimension === 'length' ? way * valueIn(SAME_PIN, read.unit) : 0),
    });
    return { ...ask, example: formatExactly(read), was: first, mustBe: { from: by(-1), to: by(1) } };
  });
  return { ...taken(...asks), otherThan: first };
}
const measuredIn = ({ state }: Context, step: string, what: string): Quantity | undefined =>
  onStep(state, 'measured', step).findLast(({ body }) => body.what === what)?.body.value;
const SAME_PIN = thou(2);

/** Nine tenths of its set, as near as a gauge is read: nearer to it the pin is spent. */
function heldUnderSet({ valve }: Context): MeasureAsk {
  const set = valve.plate?.setPressure;
  if (!set) return pressureAsk('pressure held', '2700 psig');
  const psi = valueIn(set, 'psig');
  return {
    ...pressureAsk('pressure held', `${Math.round(0.9 * psi)} psig`),
    mustBe: { from: psig(0.88 * psi), to: psig(0.92 * psi) },
  };
}
