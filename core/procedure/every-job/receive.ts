import { judgesOf } from '../../inspection';
import { boltedJoint, CONSTRUCTIONS, packedBox, partsOf, type Features } from '../../valve';
import { always, draft, rule, type Context, type Draft, type Fragment } from '../draft';
import { closureProcedure } from '../closures';
import { jointProcedure } from '../joints';
import { moverProcedure } from '../movers';
import { stepName } from '../relations';
import { sequence } from '../sequence';

const PLATE = stepName('receive.plate');

/** Stage 1 and 2: which valve, which paper, which medium, what is wrong with it. */
export const receive: Fragment = {
  name: 'receive',
  openings: 'first',
  compose: (c) => [
    draft({
      name: PLATE,
      ofTheJob: true,
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
        name: stepName('receive.ask', ask.id),
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
      name: stepName('diagnose.report'),
      ofTheJob: true,
      stage: 'diagnose',
      title: 'Set down what was reported and what you see',
      why: 'As found is the only proof of whether the interval is right.',
      minutes: 5,
      because: always('every job'),
      after: [PLATE],
      provides: ['received'],
    }),
  ],
};

/** The maker's figures, typed once for a model and used ever after; on file already, the step is done by itself. */
function sheetOf({ valve, features, works }: Context): Draft[] {
  const { plate } = valve;
  const [joint, gland] = [boltedJoint(features) !== undefined, packedBox(features) !== undefined];
  const places = [
    ...(closureProcedure(features).torques ?? []),
    ...(jointProcedure(features).torques ?? []),
    ...(moverProcedure(features).torques?.(features.moved) ?? []),
  ];
  const lengths = [
    ...new Set(judgesOf(valve).flatMap(({ part, sheet }) => (sheet && part && works(part) ? [sheet] : []))),
  ];
  if (!joint && !gland && places.length + lengths.length === 0) return [];
  return [
    draft({
      name: stepName('receive.sheet'),
      stage: 'receive',
      title: 'Type the maker’s sheet of this model, once',
      why: 'With revision and page: every valve of the model uses it from then on, and every figure says that it is the maker’s.',
      task: {
        kind: 'makers-sheet',
        ...(plate?.model === undefined ? {} : { model: plate.model }),
        joint,
        gland,
        places,
        lengths,
      },
      optional: 'only where the sheet is at hand and not on file yet',
      minutes: 3,
      because: always('every job'),
      after: [PLATE],
      provides: ['asked'],
    }),
  ];
}

/** The kit laid out: everything that is new at every overhaul, and what no kit brings. */
function spares(c: Context): Draft {
  const renewed = partsOf(c.valve).filter(({ role, policy }) => policy === 'renew always' && c.works(role));
  const never = neverInKit(c.features);
  return draft({
    name: stepName('receive.spares'),
    stage: 'receive',
    title: 'Lay out sheet and kit, hold them against the plate',
    task: { kind: 'spares' },
    why: 'Parts that do not match are found now, not with the valve in pieces.',
    ...(never ? { caution: never } : {}),
    kit: renewed.map(({ name, quantity }) => (quantity > 1 ? `${name} (${quantity})` : name)),
    minutes: 10,
    because: always('every job'),
    after: [PLATE],
    provides: ['received'],
  });
}

/** What has to be ordered by itself, said before the valve is apart. */
function neverInKit(features: Features): string | undefined {
  const { seat } = features;
  if (seat.kind === 'ported') {
    return seat.port === 'reduced'
      ? 'The reduced-port seat is not in the kit: order it now if there is any doubt. One printed sheet serves several kits: items of the other variants were never meant to be there.'
      : 'A full-port body has its seat in one piece: damage condemns the body. One printed sheet serves several kits: items of the other variants were never meant to be there.';
  }
  return moverProcedure(features).neverInKit ?? closureProcedure(features).neverInKit;
}

function identify(c: Context): Draft[] {
  const thread = {
    stage: 'receive',
    because: always('every job'),
    after: [PLATE],
    provides: ['received'],
  } as const;
  const looked = [jointProcedure(c.features).identify, closureProcedure(c.features).identify];
  return looked.flatMap((sketch) => (sketch ? sequence(c, thread, [sketch]) : []));
}
