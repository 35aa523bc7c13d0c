import { storedIn, type Energy, type IsolationPoint } from '../../../isolation';
import { lineOf } from '../../../job';
import { listed, phrase } from '../../../quantity';
import { closureOf, relieves } from '../../../valve';
import { draft, type Context, type Draft, type Fragment } from '../../draft';
import { ifThere, stepName, type StepName } from '../../relations';
import { bare, cavityOf } from './bare';
import { isolatedOn, isolationOf } from './isolated';
import { PROTECTED, protectedMeanwhile } from './relief-away';
import { guardsOf, INSTRUMENTS, LINE, liveAt, PERMIT, SHEET, SIGNED, zeroOf } from './steps';

const pointOf = ({ id }: IsolationPoint): StepName => stepName('isolate', id);

/**
 * Stage 3: nothing is opened before every energy is proved gone, or decontamination is on paper. The sheet follows from
 * how the valve stands in its line: points in order, a proof for each energy, two signatures.
 */
export const isolate: Fragment = {
  name: 'isolate',
  openings: 'first',
  compose: (c) => {
    if (c.place === 'bare') return [...bare(c), ...cavityOf(c)];
    const isolated = isolatedOn(c);
    return [...(isolated === 'whole' ? [] : agreed()), ...(isolated === 'nothing' ? [] : inLine(c))];
  },
};
const AGREED = stepName('isolate.agreed');

/** Nothing of the pressure boundary is opened, but the valve moves: whoever runs the process says when. */
function agreed(): Draft[] {
  return [
    draft({
      ...SHEET,
      name: AGREED,
      title: 'The operator agrees that it may move: on the bypass, shut off, or the process can stand it',
      why: 'Its body stays closed and under pressure; what moves it is worked on.',
      caution:
        'A valve that strokes moves the process: nobody strokes it unasked. Its gland and joints are not touched.',
      task: { kind: 'do', writes: 'who agreed' },
      minutes: 5,
      after: ['received', 'traced'],
    }),
  ];
}

function inLine(c: Context): Draft[] {
  const line = lineOf(c.state);
  if (!line) return [];
  const { points, energies } = isolationOf(c, line);
  const stored = storedIn(c.valve, line).map(({ what, energy }) => phrase`${energy} ${what}`);
  const held = energies.flatMap(({ proof }) => (proof.kind === 'held' ? [proof.how] : []));
  const lastPoint = points.at(-1);
  const first = relieves(closureOf(c.features)) ? PROTECTED : LINE;
  const steps = points.map((point, i) => {
    const before = points[i - 1];
    return pointStep(point, before ? pointOf(before) : first);
  });
  const proofs = energies.flatMap((energy) => proofStep(c, energy, lastPoint ? pointOf(lastPoint) : LINE));
  return [
    draft({
      ...SHEET,
      name: LINE,
      title: 'Say how it stands in its line',
      why: phrase`Blocks, vents, bypass, air, power: the sheet is made from this.${stored.length > 0 ? phrase` Stored: ${listed(stored)}.` : ''}${held.length > 0 ? ` Stays loaded until the strip: ${held.join('; ')}.` : ''}`,
      caution: [PERMIT, guardsOf(c.valve)].join(' ').trim(),
      task: { kind: 'line' },
      minutes: 5,
      after: ['received', 'traced', ifThere(AGREED)],
    }),
    ...(relieves(closureOf(c.features)) ? [protectedMeanwhile()] : []),
    ...steps,
    ...proofs,
    draft({
      ...SHEET,
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
    ...SHEET,
    name: pointOf(point),
    isolation: { is: 'point', point: point.id, ...liveAt(point) },
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
    ...SHEET,
    name: zeroOf(kind),
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
