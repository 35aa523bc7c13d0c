import type { Length } from '../quantity';
import type { TaskKind } from './task-kind';

/** A blue line on a seat: round 0 is as found. */
export interface BluingTask {
  readonly kind: 'bluing';
  readonly diameter: Length;
  readonly widest: Length;
  readonly round: number;
}

export const bluingTask: TaskKind<BluingTask> = {
  finishedBy: (_, facts) => facts.on('bluing-checked').at(-1),
  plainly: ({ round }, { step, blue }) => {
    const { from, degrees } = blue(round);
    const arcs = degrees === 0 ? [] : [{ from: `${from}°`, to: `${from + degrees}°`, width: '30 thou' }];
    return [{ kind: 'check-bluing', body: { step, arcs } }];
  },
};
