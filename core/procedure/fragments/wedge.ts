import type { PartRole } from '../../valve';
import { CAUTIONS } from '../cautions';
import { feature, fromCall, type Context, type Draft, type Fragment } from '../draft';
import { rebuild, sequence, slug, strip } from '../sequence';

const WEDGE = feature('a wedge between two seats');

/** A wedge and its two seats: told apart, lapped each for itself, never rubbed on each other. */
export const wedgeGate: Fragment = {
  name: 'wedge gate',
  openings: 'every',
  when: ({ closure }) => closure.kind === 'wedge',
  compose: (c) => [
    ...(c.opening.number === 1 ? marked(c) : []),
    ...(c.condemned ? [] : [...lapped(c), ...backInPlace(c)]),
  ],
};

function marked(c: Context): Draft[] {
  return sequence(c, strip(WEDGE, ['strip.lift']), [
    {
      id: 'strip.mark-wedge',
      title: 'Mark the wedge left and right',
      why: 'Each face goes back to its own seat.',
      caution: 'Turned round, two faces that never met have to seal.',
      tools: ['paint pen'],
      parts: ['wedge', 'left seat', 'right seat'],
      minutes: 3,
    },
  ]).map((each) => ({ ...each, provides: [...each.provides, c.id('wedge marked')] }));
}

function lapped(c: Context): Draft[] {
  if (c.opening.number > 1) return reworkedAgain(c);
  return [...c.calls.values()].flatMap((call): Draft[] => {
    const thread = {
      stage: 'repair' as const,
      because: fromCall(call),
      after: ['stripped', 'inspect.clean', `inspect.${slug(call.part)}`],
      provides: ['repaired'],
    };
    if (call.verdict !== 'rework') return [];
    if (call.method === 'lap on a block') return sequence(c, thread, [wedgeOnBlock('repair.lap-wedge')]);
    if (call.method === 'lap the seat out of the body') return sequence(c, thread, seatOut(c, call.part));
    return [];
  });
}

/** A seat test that failed: faces again, then together again. */
function reworkedAgain(c: Context): Draft[] {
  if (c.site.schools.gateSeats === 'ground in line') return [];
  return sequence(c, { stage: 'repair', because: WEDGE, after: ['stripped'], provides: ['repaired'] }, [
    wedgeOnBlock('repair.lap-wedge'),
    ...(c.features.seat.kind === 'wedge-pair' && c.features.seat.removable
      ? seatOut(c, 'left seat').concat(seatOut(c, 'right seat'))
      : []),
  ]);
}

const wedgeOnBlock = (id: string) => ({
  id,
  title: 'Lap the wedge on a block',
  why: 'Both faces, coarse then fine, figure of eight, until each is one even grey.',
  caution: `The wedge is never rubbed on its seats. ${CAUTIONS.compound}`,
  tools: ['lapping block'],
  consumables: ['lapping compound 120', 'lapping compound 240'],
  parts: ['wedge'] as const,
  minutes: 40,
});

function seatOut(c: Context, part: PartRole) {
  return [
    {
      id: `repair.${slug(part)}-out`,
      title: `${part === 'left seat' ? 'Left' : 'Right'} seat out of the body and lapped`,
      why: 'It must come out to be lapped true; then back with anti-seize on its thread.',
      caution: CAUTIONS.compound,
      tools: ['seat driver', 'lapping block'],
      consumables: ['lapping compound 120', 'lapping compound 240', 'nickel anti-seize'],
      parts: [part],
      minutes: c.opening.number > 1 ? 30 : 45,
    },
  ];
}

function backInPlace(c: Context): Draft[] {
  return sequence(c, rebuild(WEDGE, ['rebuild.clean'], 'trim in'), [
    {
      id: 'rebuild.wedge-sides',
      title: 'Wedge to its own side: marks to left and right',
      why: 'Read the marks before it goes on the stem.',
      parts: ['wedge', 'left seat', 'right seat'],
      minutes: 3,
    },
  ]);
}
