import type { Length } from '../quantity';
import type { Shown } from './shown';
import type { TaskKind } from './task-kind';

/** Rings of packing, their joints staggered. */
export interface PackingTask {
  readonly kind: 'packing';
  readonly rings: number;
  /** Of them, below the lantern ring. */
  readonly below?: number;
  readonly section: Length;
  readonly length: Length;
  /** How a ring is opened to go round its stem; whole rings are cut to no length. */
  readonly opened: 'cut at 45°' | 'cut radially' | 'whole';
  readonly stem: Length;
  readonly bore: Length;
  readonly stagger: number;
  /** How many came out, where they were counted. */
  readonly found?: number;
  /** Which way a ring lies, where it has a way. */
  readonly lies?: string;
  readonly shown: Shown;
}

export const packingTask: TaskKind<PackingTask> = {
  finishedBy: (_, facts) => facts.on('packing-fitted').at(-1),
  plainly: ({ rings, stagger }, { step }) => [
    {
      kind: 'fit-packing',
      body: { step, joints: Array.from({ length: rings }, (_, i) => `${(i * stagger) % 360}°`) },
    },
  ],
};
