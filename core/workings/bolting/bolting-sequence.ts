import { z } from 'zod';
import { ok, type Result } from '../../problem';
import type { Torque } from '../../quantity';
import { COMMON_PRACTICE, CROSS_PATTERNS, PCC_1, TIGHTENING_PASSES } from '../../standards';
import { choiceField, numberField, quantityField } from '../frame/field';
import { line } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  bolts: numberField({ label: 'Number of bolts', example: '8' }, 3, 96, true),
  passes: choiceField(['quarters', 'thirds'], { label: 'Passes' }),
  torque: quantityField('torque', { label: 'Final torque', example: '120 lbf·ft' }),
});

export interface TighteningPass {
  percent: number;
  torque: Torque;
  order: number[];
}

export interface BoltSequence {
  passes: TighteningPass[];
  circularPass: TighteningPass;
}

/**
 * Order and torque of every pass: cross pattern at each share of the final torque, then a circular pass at 100 %.
 * Bolts are numbered clockwise from 12 o'clock. Errors: fewer than 3 or more than 96 bolts.
 * Source: ASME PCC-1 legacy cross pattern for 4 to 32 in the table; other counts by the same principle.
 * Example: 8 bolts → 1-5-3-7, 2-6-4-8 at 25, 50, 75, 100 %, then round once.
 */
export const boltingSequence: Working<typeof input, BoltSequence> = {
  id: 'bolting.sequence',
  title: 'Order of tightening',
  asks: ['cross pattern', 'order', 'star', 'passes', 'bolt up', 'sequence'],
  meaning: 'Which bolt next, and how tight, in every pass.',
  input,
  results: { passes: 'Passes', circularPass: 'Circular check pass' },
  source: PCC_1,
  work: sequence,
};

function sequence({ bolts, passes, torque }: z.output<typeof input>): Result<Worked<BoltSequence>> {
  const order = crossPattern(bolts);
  const pass = (percent: number, sequenceOf: number[]): TighteningPass => ({
    percent,
    torque: { dimension: 'torque', value: (torque.value * percent) / 100, unit: torque.unit },
    order: sequenceOf,
  });
  const steps = TIGHTENING_PASSES[passes].map((percent) => pass(percent, order));
  const circularPass = pass(
    100,
    Array.from({ length: bolts }, (_, i) => i + 1),
  );
  const tabled = CROSS_PATTERNS[bolts] !== undefined;
  return ok({
    result: { passes: steps, circularPass },
    steps: [...steps, circularPass].map(({ percent, torque: setting, order: sequenceOf }, i) =>
      line(
        i === steps.length ? 'Circular pass, until no nut moves' : `Pass ${i + 1}`,
        `${percent} % of the final torque`,
        sequenceOf.join(' · '),
        setting,
      ),
    ),
    notes: [
      'Snug first, at 10 to 20 lbf·ft and no more than 20 % of the target, and check that the joint is square.',
      ...(tabled ? [] : ['This count is not in the published table: opposite pairs, the widest gap next.']),
    ],
    source: tabled ? PCC_1 : COMMON_PRACTICE,
  });
}

/** The cross pattern for a bolt count: the table's, else opposite pairs (even) or the nearest star (odd). */
export function crossPattern(bolts: number): number[] {
  const tabled = CROSS_PATTERNS[bolts];
  if (tabled) return [...tabled];
  return bolts % 2 === 0 ? oppositePairs(bolts) : star(bolts);
}

function oppositePairs(bolts: number): number[] {
  const half = bolts / 2;
  const apart = (a: number, b: number) => Math.min(Math.abs(a - b), half - Math.abs(a - b));
  const axes = [0];
  while (axes.length < half) {
    const free = Array.from({ length: half }, (_, i) => i).filter((i) => !axes.includes(i));
    const nearest = (axis: number) => Math.min(...axes.map((taken) => apart(axis, taken)));
    const widest = Math.max(...free.map(nearest));
    const next = free.find((axis) => nearest(axis) === widest);
    if (next !== undefined) axes.push(next);
  }
  return axes.flatMap((axis) => [axis + 1, axis + 1 + half]);
}

function star(bolts: number): number[] {
  let stride = Math.floor(bolts / 2);
  while (commonDivisor(stride, bolts) !== 1) stride -= 1;
  return Array.from({ length: bolts }, (_, i) => ((i * stride) % bolts) + 1);
}

const commonDivisor = (a: number, b: number): number => (b === 0 ? a : commonDivisor(b, a % b));
