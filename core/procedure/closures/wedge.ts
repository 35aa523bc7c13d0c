import { WEDGE as WEDGE_TRAVEL } from '../../inspection';
import { inches, listed, phrase, type Phrase } from '../../quantity';
import { WEDGE_WEAR_TRAVEL, wearTravel } from '../../standards';
import type { PartRole } from '../../valve';
import { slug } from '../blocks/arrival';
import { lengthAsk, orNought } from '../blocks/asks';
import { measured } from '../blocks/measured';
import { putRound, seenRound } from '../blocks/taken';
import { CAUTIONS } from '../cautions';
import { feature, fromCall, type Context, type Draft } from '../draft';
import { lookOf } from '../every-job/looks';
import { ifThere, stepName } from '../relations';
import { once, rebuild, repair, sequence, strip, type Sketch } from '../sequence';
import type { ClosureProcedure } from './closure';

const MARKED = stepName('strip.mark-wedge');
const WEDGE = feature('a wedge between two seats');

/** A wedge and its two seats: told apart, lapped each for itself, never rubbed on each other. */
export const wedge: ClosureProcedure = {
  proof: {
    by: 'size',
    as: 'gate',
    seat: 'metal',
    how: 'Closed by hand; each side in turn, the other side watched for bubbles, or for drops where it is tested with water.',
    parts: ['wedge', 'left seat', 'right seat'],
  },
  hangsOnStem: true,
  steps: (c) => [...marked(c), ...sized(c), ...lapped(c), ...backInPlace(c)],
};

/** What a wedge must have left to sink, at its size or, while that is unknown, at each. */
function leastTravel(nps: number | undefined): Phrase {
  const least = wearTravel(nps);
  if (least) return phrase`at least ${least} at this size`;
  const rows = WEDGE_WEAR_TRAVEL.map(
    ({ upToNps, inches: travel }) => phrase`${inches(travel)} to NPS ${upToNps}`,
  );
  return phrase`at least ${listed(rows, ', ')}`;
}

const sized = (c: Context): Draft[] =>
  measured(c, {
    id: 'inspect.wedge-travel',
    title: 'Wedge in its seats: wear travel left',
    why: phrase`Pressed home it must ride high: ${leastTravel(c.valve.nps)} (API 600).`,
    tools: ['rule', 'feeler gauges'],
    parts: ['wedge'],
    asks: [orNought(lengthAsk(WEDGE_TRAVEL.left, '0.13 in')), lengthAsk('guide clearance', '0.05 in')],
  });

function marked(c: Context): Draft[] {
  return sequence(c, once(strip(WEDGE, ['bonnet lifted'], 'wedge marked')), [
    {
      id: MARKED,
      title: 'Mark the wedge left and right',
      why: 'Each face goes back to its own seat.',
      caution: 'Turned round, two faces that never met have to seal.',
      tools: ['paint pen'],
      task: seenRound('left mark of the wedge'),
      parts: ['wedge', 'left seat', 'right seat'],
      minutes: 3,
    },
  ]);
}

function lapped(c: Context): Draft[] {
  if (c.opening.number > 1) return reworkedAgain(c);
  return [...c.calls.values()].flatMap((call): Draft[] => {
    const thread = repair(fromCall(call), ['clean to inspect', ifThere(lookOf(call.part))]);
    if (call.verdict !== 'rework') return [];
    if (call.method === 'lap on a block') return sequence(c, thread, [wedgeOnBlock('repair.lap-wedge')]);
    if (call.method === 'lap the seat out of the body') return sequence(c, thread, seatOut(c, call.part));
    return [];
  });
}

/** A seat test that failed: faces again, then together again. */
function reworkedAgain(c: Context): Draft[] {
  if (c.site.schools.gateSeats === 'ground in line') return [];
  return sequence(c, repair(WEDGE, []), [
    wedgeOnBlock('repair.lap-wedge'),
    ...(c.features.seat.kind === 'wedge-pair' && c.features.seat.removable
      ? seatOut(c, 'left seat').concat(seatOut(c, 'right seat'))
      : []),
  ]);
}

const wedgeOnBlock = (id: string): Sketch => ({
  id,
  title: 'Lap the wedge on a block',
  why: 'Both faces, coarse then fine, figure of eight, until each is one even grey.',
  caution: `The wedge is never rubbed on its seats. ${CAUTIONS.compound}`,
  tools: ['lapping block'],
  consumables: ['lapping compound 120', 'lapping compound 240'],
  task: { kind: 'lapping', against: 'a block or lap', grits: [120, 240] },
  parts: ['wedge'],
  minutes: 40,
});

function seatOut(c: Context, part: PartRole): Sketch[] {
  return [
    {
      id: `repair.${slug(part)}-out`,
      title: `${part === 'left seat' ? 'Left' : 'Right'} seat out of the body and lapped`,
      why: 'It must come out to be lapped true; then back with anti-seize on its thread.',
      caution: CAUTIONS.compound,
      tools: ['seat driver', 'lapping block'],
      consumables: ['lapping compound 120', 'lapping compound 240', 'nickel anti-seize'],
      task: { kind: 'lapping', against: 'a block or lap', grits: [120, 240] },
      parts: [part],
      minutes: c.opening.number > 1 ? 30 : 45,
    },
  ];
}

function backInPlace(c: Context): Draft[] {
  return sequence(c, rebuild(WEDGE, [], 'trim in', 'wedge sided'), [
    {
      id: 'rebuild.wedge-sides',
      title: 'Wedge to its own side: marks to left and right',
      why: 'Read the marks before it goes on the stem.',
      task: putRound(MARKED, 'left mark of the wedge'),
      parts: ['wedge', 'left seat', 'right seat'],
      minutes: 3,
    },
  ]);
}
