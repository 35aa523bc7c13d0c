import type { JobState, Screw } from '../job';
import { valueIn, type Quantity } from '../quantity';
import { roundsOf } from './stroked';
import { StepFacts } from './task-kind';

/** What a screw did to a figure, for one turn clockwise: percent of travel, or psi. */
export interface ScrewEffect {
  readonly screw: Screw;
  readonly what: string;
  readonly perTurn: number;
}

/** What one turn clockwise did on a valve of the same model, to a first guess; undefined where nobody has turned it. */
export type Taught = (screw: Screw, what: string) => number | undefined;
export const NOTHING_TAUGHT: Taught = () => undefined;

/** Turns that are none, and effects that are lost in the reading. */
const [UNTURNED, NOTHING] = [1e-9, 0.05];

/** Percent or psi, as effects are kept; other figures are set by no screw that is learned. */
export function asEffect({ dimension, ...value }: Quantity): number | undefined {
  if (dimension === 'ratio') return valueIn({ ...value, dimension }, '%');
  return dimension === 'gauge pressure' ? valueIn({ ...value, dimension }, 'psig') : undefined;
}

/** What every screw of a job did to every figure: a line through all the times that it alone was turned. */
export function screwEffectsIn(state: JobState): readonly ScrewEffect[] {
  if (state.records['screw-turned'].length === 0) return [];
  const facts = new StepFacts(state, '', false);
  const whats = [...new Set(state.records.measured.map(({ body }) => body.what))];
  return whats.flatMap((what) => {
    const sums = new Map<Screw, { square: number; moved: number }>();
    const rounds = roundsOf([what], facts);
    rounds.slice(1).forEach(({ turned, read }, i) => {
      const [before, after] = [rounds[i]?.read.get(what), read.get(what)];
      const [from, to] = [before && asEffect(before), after && asEffect(after)];
      const [only, ...others] = Object.entries(turned).filter(([, by]) => Math.abs(by) > UNTURNED);
      if (!only || others.length > 0 || from === undefined || to === undefined) return;
      const [screw, by] = only as [Screw, number];
      const { square, moved } = sums.get(screw) ?? { square: 0, moved: 0 };
      sums.set(screw, { square: square + by ** 2, moved: moved + by * (to - from) });
    });
    return [...sums].flatMap(([screw, { square, moved }]) =>
      Math.abs(moved / square) > NOTHING ? [{ screw, what, perTurn: moved / square }] : [],
    );
  });
}
