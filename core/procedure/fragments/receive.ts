import { CONSTRUCTIONS, HAZARDS, partsOf, type Features } from '../../valve';
import { CAUTIONS } from '../cautions';
import { always, draft, feature, rule, type Context, type Draft, type Fragment } from '../draft';
import { sequence, type Sketch } from '../sequence';
import { PRESSURE_AT_VENT } from './vent';

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

/** The kit laid out: everything that is new at every overhaul, and what no kit brings. */
function spares(c: Context): Draft {
  const renewed = partsOf(c.valve).filter(({ policy }) => policy === 'renew always');
  const never = neverInKit(c.features);
  return draft({
    id: 'receive.spares',
    stage: 'receive',
    title: 'Lay out sheet and kit, and check the kit',
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

/** Stage 3: nothing is opened before zero is proved, or decontamination is on paper. */
export const isolate: Fragment = {
  name: 'isolate',
  openings: 'first',
  compose: (c) => [...(c.came === 'in line' ? inLine(c) : bare(c)), ...cavity(c)],
};

const AIR_MOVED: readonly Features['moved']['kind'][] = [
  'spring-diaphragm',
  'piston',
  'rolling-diaphragm',
  'vane-arm',
  'diaphragm-on-stem',
  'hygienic-cylinder',
];

function inLine({ valve, features }: Context): Draft[] {
  const guards = valve.medium?.hazards.map((hazard) => HAZARDS[hazard].guard) ?? [];
  const because = always('the valve is in its line');
  const common = { stage: 'isolate' as const, because, provides: ['isolated'] };
  return [
    draft({
      ...common,
      id: 'isolate.block',
      title: 'Block, bypass and vent both sides',
      why: 'Both sides to zero: pressure stands above and below what closes.',
      caution: ['Under the site’s permit only.', ...guards].join(' '),
      minutes: 20,
      after: ['received'],
    }),
    draft({
      ...common,
      id: 'isolate.lock',
      title: 'Lock and tag every source',
      why: 'Nobody may open what you rely on.',
      tools: ['locks and tags'],
      minutes: 10,
      after: ['isolate.block'],
    }),
    ...(AIR_MOVED.includes(features.moved.kind)
      ? [
          draft({
            ...common,
            id: 'isolate.air',
            title: 'Vent supply and signal air',
            why: 'A signal that comes back moves the valve with somebody’s hand in it.',
            caution: CAUTIONS.air,
            minutes: 5,
            after: ['isolate.lock'],
          }),
        ]
      : []),
    ...(features.moved.kind === 'solenoid'
      ? [
          draft({
            ...common,
            id: 'isolate.power',
            title: 'Power off, proved dead',
            why: 'The coil is pulled off by hand next.',
            caution: 'A person qualified for it proves the circuit dead.',
            minutes: 5,
            after: ['isolate.lock'],
          }),
        ]
      : []),
    draft({
      ...common,
      id: 'isolate.zero',
      title: 'Prove zero at the vent',
      why: 'A closed block valve is not proof: only the gauge at an open vent is.',
      caution: guards.join(' ') || 'Stand aside of the vent.',
      task: {
        kind: 'measure',
        asks: [PRESSURE_AT_VENT],
      },
      minutes: 10,
      after: ['isolate.lock', 'isolate.air', 'isolate.power'],
    }),
  ];
}

function bare({ valve }: Context): Draft[] {
  const medium = valve.medium?.name ?? 'an unknown medium';
  return [
    draft({
      id: 'isolate.decontaminated',
      stage: 'isolate',
      title: 'See the decontamination certificate',
      why: `It comes from ${medium}; whoever opens it must know that it is clean.`,
      caution:
        (valve.medium?.hazards ?? []).map((hazard) => HAZARDS[hazard].guard).join(' ') ||
        'No certificate, no spanner.',
      minutes: 5,
      because: always('the valve came in bare'),
      after: ['received'],
      provides: ['isolated'],
    }),
  ];
}

/** How the valve stands so that nothing stays trapped in it: by construction. */
function cavity(c: Context): Draft[] {
  const sketches = CAVITY[c.features.closure.kind] ?? [];
  return sequence(
    c,
    {
      stage: 'isolate',
      because: feature('pressure can stay trapped in its cavity'),
      after: ['isolate.zero', 'isolate.decontaminated'],
      provides: ['isolated'],
    },
    sketches,
  );
}

const HALF_OPEN: readonly Sketch[] = [
  {
    id: 'isolate.half-open',
    title: 'Valve half open',
    why: 'Half open, its cavity drains to both sides: no pressure is trapped in it.',
    caution: 'A cavity left shut holds line pressure after both sides read zero.',
    minutes: 2,
  },
];

const CAVITY: Partial<Record<Features['closure']['kind'], readonly Sketch[]>> = {
  ball: HALF_OPEN,
  'captive-disc': HALF_OPEN,
  'expanding-gates': [
    {
      id: 'isolate.body-bleed',
      title: 'Bleed the body through the bonnet grease fitting',
      why: 'Cap off, then unseat its check with the bleed tool until nothing comes.',
      caution: 'The body holds full pressure between the gates. Stand aside of the fitting; point it away.',
      tools: ['bleed tool'],
      parts: ['grease fitting'],
      minutes: 10,
    },
    {
      id: 'isolate.close',
      title: 'Close the valve fully',
      why: 'Only after the bleed: the internals then come up with the bonnet.',
      minutes: 3,
    },
  ],
};
