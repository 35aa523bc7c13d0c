import { hangingLocks, lineOf } from '../../job';
import { energiesOf, pointsOf, storedIn, type Energy, type IsolationPoint, type Line } from '../../isolation';
import { listed, phrase } from '../../quantity';
import { closureOf, HAZARDS, type Valve } from '../../valve';
import { always, draft, feature, type Context, type Draft, type Fragment } from '../draft';
import { stepName, type Relation, type StepName } from '../relations';

const because = always('the valve is in its line');
const common = { stage: 'isolate', because, provides: ['isolated'] } as const;
const LINE = stepName('isolate.line');
/** Both signatures: only then is anything opened or lifted. */
export const SIGNED = stepName('isolate.sign');
const pointOf = ({ id }: IsolationPoint): StepName => stepName('isolate', id);
const restoreOf = ({ id }: IsolationPoint): StepName => stepName('restore', id);
const strayOf = (point: string): StepName => stepName('restore.stray', point);
/** Both signatures that every lock is off. */
export const RESTORED = stepName('restore.sign');
const DECONTAMINATED = stepName('isolate.decontaminated');
const CAVITY = stepName('isolate.cavity');
const PERMIT = 'Under the site’s permit only.';

export const guardsOf = ({ medium }: Valve): string =>
  (medium?.hazards ?? []).map((hazard) => HAZARDS[hazard].guard).join(' ');

/**
 * Stage 3: nothing is opened before every energy is proved gone, or decontamination is on paper. The sheet follows from
 * how the valve stands in its line: points in order, a proof for each energy, two signatures.
 */
export const isolate: Fragment = {
  name: 'isolate',
  openings: 'first',
  compose: (c) => (c.place === 'bare' ? [...bare(c), ...cavityOf(c)] : inLine(c)),
};

function inLine(c: Context): Draft[] {
  const line = lineOf(c.state);
  if (!line) return [];
  const points = pointsOf(c.valve, line);
  const energies = energiesOf(c.valve, line);
  const stored = storedIn(c.valve, line).map(({ what, energy }) => phrase`${energy} ${what}`);
  const held = energies.flatMap(({ proof }) => (proof.kind === 'held' ? [proof.how] : []));
  const lastPoint = points.at(-1);
  const steps = points.map((point, i) => {
    const before = points[i - 1];
    return pointStep(point, before ? pointOf(before) : LINE);
  });
  const proofs = energies.flatMap((energy) => proofStep(c, energy, lastPoint ? pointOf(lastPoint) : LINE));
  return [
    draft({
      ...common,
      name: LINE,
      title: 'Say how it stands in its line',
      why: phrase`Blocks, vents, bypass, air, power: the sheet is made from this.${stored.length > 0 ? phrase` Stored: ${listed(stored)}.` : ''}${held.length > 0 ? ` Stays loaded until the strip: ${held.join('; ')}.` : ''}`,
      caution: [PERMIT, guardsOf(c.valve)].join(' ').trim(),
      task: { kind: 'line' },
      minutes: 5,
      after: ['received', 'traced'],
    }),
    ...steps,
    ...proofs,
    draft({
      ...common,
      name: SIGNED,
      title: 'Two sign the isolation',
      why: 'One did it, another looked at every lock and every zero: four eyes before the first joint.',
      caution: 'Whoever checks walks the points; nobody signs from the desk.',
      task: { kind: 'sign-off', done: 'isolated and proved', checked: 'checked at every point' },
      minutes: 5,
      after: proofs.map(({ name }) => name),
    }),
  ];
}

function pointStep(point: IsolationPoint, after: StepName): Draft {
  return draft({
    ...common,
    name: pointOf(point),
    isolation: { is: 'point', point: point.id },
    title: point.title,
    why: point.why,
    ...(point.caution === undefined ? {} : { caution: point.caution }),
    tools: point.locked ? ['lock and tag'] : [],
    ...(point.locked ? { task: { kind: 'lock', point: point.id } } : {}),
    minutes: point.minutes,
    after: [after],
  });
}

/** Each energy has a reading, or is tried by hand. */
function proofStep(c: Context, { kind, where, proof }: Energy, after: StepName): Draft[] {
  if (proof.kind === 'held') return [];
  const shared = {
    ...common,
    name: stepName('isolate.zero', kind.replaceAll(' ', '-')),
    isolation: { is: 'proof', energy: kind } as const,
    caution: guardsOf(c.valve) || 'Stand aside of what you open.',
    minutes: 5,
    after: [after],
  };
  if (proof.kind === 'tried')
    return [draft({ ...shared, title: `Prove the ${where} held: try it`, why: `It is ${proof.how}.` })];
  const cool = proof.mustBe !== 'zero';
  const { what, dimension, example, mustBe, at } = proof;
  return [
    draft({
      ...shared,
      title: cool ? `Prove the ${where} cool enough to touch` : `Prove zero: ${where}`,
      why: cool
        ? 'It burns through a glove, and what is in it flashes.'
        : `Read at ${at}. A closed valve is not proof: only the instrument is.`,
      tools: [INSTRUMENTS[dimension] ?? 'gauge'],
      task: {
        kind: 'measure',
        asks: [{ what, dimension, example, mustBe, instrument: INSTRUMENTS[dimension] ?? 'gauge' }],
      },
    }),
  ];
}

const INSTRUMENTS: Partial<Record<string, 'gauge' | 'thermometer' | 'voltage tester'>> = {
  temperature: 'thermometer',
  voltage: 'voltage tester',
};

function bare({ valve }: Context): Draft[] {
  const medium = valve.medium?.name ?? 'an unknown medium';
  return [
    draft({
      name: DECONTAMINATED,
      ofTheJob: true,
      stage: 'isolate',
      title: 'See the decontamination certificate',
      why: `It comes from ${medium}; whoever opens it must know that it is clean.`,
      caution: guardsOf(valve) || 'No certificate, no spanner.',
      task: { kind: 'do', writes: 'the number of the decontamination certificate' },
      minutes: 5,
      because: always('the valve came in bare'),
      after: ['received'],
      provides: ['isolated'],
    }),
  ];
}

/** A valve that came in bare may still hold what was in its line: a pocket of it is let out as its construction asks. */
function cavityOf({ features, valve }: Context): Draft[] {
  const { cavity, isolatedAs } = closureOf(features);
  if (!cavity && isolatedAs === undefined) return [];
  const isBled = isolatedAs === 'closed, its body bled';
  const thread = {
    stage: 'isolate',
    because: feature('a pocket between its faces'),
    provides: ['isolated'],
  } as const;
  return [
    draft({
      ...thread,
      name: CAVITY,
      title: isBled
        ? 'Bleed the body through its fitting, then close the valve fully'
        : 'Valve half open, its cavity vented through its fitting',
      why: isBled
        ? 'Bled first, then closed: its internals come up with the bonnet.'
        : 'Half open, the pocket drains to both ends; a fitting or plug of the body is cracked last.',
      caution:
        `It can hold full line pressure for years on a shelf. Ends and fitting pointed away from everybody. ${guardsOf(valve)}`.trim(),
      minutes: 10,
      after: [DECONTAMINATED],
    }),
    draft({
      ...thread,
      name: stepName('isolate.zero', 'cavity-pressure'),
      isolation: { is: 'proof', energy: 'cavity pressure' },
      title: 'Prove zero: body cavity',
      why: 'Read at the body fitting, or at an end with the valve half open. A quiet fitting is not proof: only the gauge is.',
      caution: guardsOf(valve) || 'Stand aside of what you open.',
      tools: ['gauge'],
      task: {
        kind: 'measure',
        asks: [
          {
            what: 'pressure in the cavity',
            dimension: 'gauge pressure',
            example: '0 psig',
            mustBe: 'zero',
            instrument: 'gauge',
          },
        ],
      },
      minutes: 5,
      after: [CAVITY],
    }),
  ];
}

/** Stage 10 in a line: the isolation taken off in the mirror order, by the hands that put it on, signed by two. */
export const restore: Fragment = {
  name: 'restore',
  openings: 'afterwards',
  of: 'sound',
  compose: (c) => {
    const line = lineOf(c.state);
    if (c.place === 'bare' || !line) return [];
    const back = pointsOf(c.valve, line)
      .toReversed()
      .flatMap((point) => (point.restore ? [{ point, restore: point.restore }] : []));
    const strays = straysOf(c, line);
    const thread = { stage: 'release', because, provides: ['restored'] } as const;
    return [
      ...strays.map(({ body: { point, step } }) =>
        draft({
          ...thread,
          name: strayOf(point),
          title: `Lock off: ${step.title.charAt(0).toLowerCase()}${step.title.slice(1)}`.slice(0, 120),
          why: 'It was hung before the line was drawn otherwise, and hangs still.',
          task: { kind: 'unlock', point },
          minutes: 3,
          after: readyFor(c),
        }),
      ),
      ...back.map(({ point, restore: { title, why } }, i) => {
        const before = back[i - 1];
        return draft({
          ...thread,
          name: restoreOf(point),
          isolation: { is: 'restored', point: point.id },
          title,
          why,
          ...(point.locked ? { task: { kind: 'unlock', point: point.id } } : {}),
          minutes: 3,
          after: before ? [restoreOf(before.point)] : readyFor(c),
        });
      }),
      draft({
        ...thread,
        name: RESTORED,
        title: 'Two sign the isolation off',
        why: 'Every lock off, every vent shut, the process told: seen by two.',
        caution: PERMIT,
        task: { kind: 'sign-off', done: 'restored', checked: 'walked and found right' },
        minutes: 5,
        after: [
          ...back.slice(-1).map(({ point }) => restoreOf(point)),
          ...strays.map(({ body }) => strayOf(body.point)),
        ],
      }),
    ];
  },
};

/** What must be behind before pressure comes back: proved on the rig and refitted, or put together where it stands. */
const readyFor = ({ place }: Context): readonly Relation[] =>
  place === 'in line' ? ['rebuilt', 'set up', 'gland set', 'seat tested'] : ['tested', 'back in line'];

/** Locks that hang on points that the line as drawn now no longer has. */
function straysOf({ state, valve }: Context, line: Line) {
  const known = new Set(pointsOf(valve, line).flatMap(({ id, locked }) => (locked ? [id] : [])));
  return hangingLocks(state).filter(({ body }) => !known.has(body.point));
}
