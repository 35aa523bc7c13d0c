import { HAZARDS } from '../../valve';
import { always, draft, rule, type Context, type Draft, type Fragment } from '../draft';

/** Stage 1 and 2: which valve, which paper, which medium, what is wrong with it. */
export const receive: Fragment = {
  name: 'receive',
  openings: 'first',
  compose: (c) => [
    draft({
      id: 'receive.plate',
      stage: 'receive',
      title: 'Check the nameplate against the job',
      why: 'The wrong valve on the bench costs a day. Where the plate is gone, read the stamping on the body.',
      minutes: 5,
      because: always('every job'),
      provides: ['received'],
    }),
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
    draft({
      id: 'receive.spares',
      stage: 'receive',
      title: 'Lay out sheet, gasket, packing and kit',
      why: 'Parts that do not match are found now, not with the valve in pieces.',
      minutes: 10,
      because: always('every job'),
      after: ['receive.plate'],
      provides: ['received'],
    }),
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

/** Stage 3: nothing is opened before zero is proved, or decontamination is on paper. */
export const isolate: Fragment = {
  name: 'isolate',
  openings: 'first',
  compose: (c) => (c.came === 'in line' ? inLine(c) : bare(c)),
};

function inLine({ valve }: Context): Draft[] {
  const guards = valve.medium?.hazards.map((hazard) => HAZARDS[hazard].guard) ?? [];
  return [
    draft({
      id: 'isolate.block',
      stage: 'isolate',
      title: 'Block, bypass and vent both sides',
      why: 'Both sides to zero; a globe valve holds pressure above and below its disc.',
      caution: ['Under the site’s permit only.', ...guards].join(' '),
      minutes: 20,
      because: always('the valve is in its line'),
      after: ['received'],
      provides: ['isolated'],
    }),
    draft({
      id: 'isolate.lock',
      stage: 'isolate',
      title: 'Lock and tag every source',
      why: 'Nobody may open what you rely on.',
      tools: ['locks and tags'],
      minutes: 10,
      because: always('the valve is in its line'),
      after: ['isolate.block'],
      provides: ['isolated'],
    }),
    draft({
      id: 'isolate.zero',
      stage: 'isolate',
      title: 'Prove zero at the vent',
      why: 'A closed block valve is not proof: only the gauge at an open vent is.',
      caution: guards.join(' ') || 'Stand aside of the vent.',
      task: {
        kind: 'measure',
        asks: [
          {
            what: 'pressure at the vent',
            dimension: 'gauge pressure',
            example: '0 psig',
            instrument: 'gauge',
            mustBe: 'zero',
          },
        ],
      },
      minutes: 10,
      because: always('the valve is in its line'),
      after: ['isolate.lock'],
      provides: ['isolated'],
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
