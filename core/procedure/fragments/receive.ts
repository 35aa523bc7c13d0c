import { boltedJoint, CONSTRUCTIONS, packedBox, partsOf, type Features } from '../../valve';
import { always, draft, feature, rule, type Context, type Draft, type Fragment } from '../draft';
import { sequence } from '../sequence';

/** Stage 1 and 2: which valve, which paper, which medium, what is wrong with it. */
export const receive: Fragment = {
  name: 'receive',
  openings: 'first',
  compose: (c) => [
    draft({
      id: 'receive.plate',
      stage: 'receive',
      title: 'Check the nameplate against the job',
      why: `The wrong valve on the bench costs a day. ${CONSTRUCTIONS[c.valve.construction].identify}`,
      minutes: 5,
      because: always('every job'),
      provides: ['received'],
    }),
    ...identify(c),
    ...c.asks.map((ask) =>
      draft({
        id: `receive.ask.${ask.id}`,
        stage: 'receive',
        title: ask.question,
        why: `Not known yet: ${ask.why}.`,
        task: { kind: 'ask', ask },
        minutes: 3,
        because: rule('unknown when the valve came in'),
        provides: ['asked'],
      }),
    ),
    ...sheetOf(c),
    spares(c),
    draft({
      id: 'diagnose.report',
      stage: 'diagnose',
      title: 'Set down what was reported and what you see',
      why: 'As found is the only proof of whether the interval is right.',
      minutes: 5,
      because: always('every job'),
      after: ['receive.plate'],
      provides: ['received'],
    }),
  ],
};

/** The maker's figures, typed once for a model and used ever after; on file already, the step is done by itself. */
function sheetOf({ valve: { plate }, features }: Context): Draft[] {
  const [joint, gland] = [boltedJoint(features) !== undefined, packedBox(features) !== undefined];
  if (!joint && !gland) return [];
  return [
    draft({
      id: 'receive.sheet',
      stage: 'receive',
      title: 'Type the maker’s sheet of this model, once',
      why: 'With revision and page: every valve of the model uses it from then on, and every figure says that it is the maker’s.',
      task: {
        kind: 'makers-sheet',
        ...(plate?.model === undefined ? {} : { model: plate.model }),
        joint,
        gland,
      },
      optional: 'only where the sheet is at hand and not on file yet',
      minutes: 3,
      because: always('every job'),
      after: ['receive.plate'],
      provides: ['asked'],
    }),
  ];
}

/** The kit laid out: everything that is new at every overhaul, and what no kit brings. */
function spares(c: Context): Draft {
  const renewed = partsOf(c.valve).filter(({ policy }) => policy === 'renew always');
  const never = neverInKit(c.features);
  return draft({
    id: 'receive.spares',
    stage: 'receive',
    title: 'Lay out sheet and kit, hold them against the plate',
    task: { kind: 'spares' },
    why: 'Parts that do not match are found now, not with the valve in pieces.',
    ...(never ? { caution: never } : {}),
    consumables: renewed.map(({ name, quantity }) => (quantity > 1 ? `${name} (${quantity})` : name)),
    minutes: 10,
    because: always('every job'),
    after: ['receive.plate'],
    provides: ['received'],
  });
}

/** What has to be ordered by itself, said before the valve is apart. */
function neverInKit({ seat, moved, closure }: Features): string | undefined {
  if (seat.kind === 'ported') {
    return seat.port === 'reduced'
      ? 'The reduced-port seat is not in the kit: order it now if there is any doubt. One printed sheet serves several kits: items of the other variants were never meant to be there.'
      : 'A full-port body has its seat in one piece: damage condemns the body. One printed sheet serves several kits: items of the other variants were never meant to be there.';
  }
  if (moved.kind === 'weight-lever') return 'The drip pot and the removable seat are in no kit.';
  if (closure.kind === 'guided-check')
    return 'A complete bypass insert is kept in stock: it must carry the order key of this valve.';
  return undefined;
}

function identify(c: Context): Draft[] {
  const { joint, moved } = c.features;
  const thread = { stage: 'receive' as const, after: ['receive.plate'], provides: ['received'] };
  if (joint.kind === 'clamped-yoke') {
    return sequence(c, { ...thread, because: feature('threaded, clamped yoke') }, [
      {
        id: 'receive.size-code',
        title: 'Read the size code on tag and body',
        why: 'The two must agree: the code picks wrenches, mandrel, refacing tool and parts.',
        minutes: 3,
      },
    ]);
  }
  if (moved.kind === 'flow' && moved.bypassInsert) {
    return sequence(c, { ...thread, because: feature('has a bypass insert') }, [
      {
        id: 'receive.order-key',
        title: 'Match the order key of insert and valve',
        why: 'An insert of another key fits and passes another flow: the pump is not protected.',
        parts: ['bypass insert'],
        minutes: 3,
      },
    ]);
  }
  return [];
}
