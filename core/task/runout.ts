import { counts } from '../job';
import { degrees, type Length } from '../quantity';
import type { Source } from '../standards';
import type { PartRole } from '../valve';
import type { TaskKind } from './task-kind';

/** A stem on V-blocks, read round the clock. */
export interface RunoutTask {
  readonly kind: 'runout';
  readonly part: PartRole;
  readonly stations: number;
  readonly limit: Length;
  readonly source: Source;
}

export const runoutTask: TaskKind<RunoutTask> = {
  finishedBy: (_, facts) => facts.on('runout-taken').findLast(({ body }) => counts(body.readBy)),
  plainly: ({ stations }, { step, deflection, instrument }) => [
    {
      kind: 'take-runout',
      body: {
        step,
        readings: Array.from({ length: stations }, (_, i) => deflection(degrees((i * 360) / stations))),
        readBy: instrument('dial indicator'),
      },
    },
  ],
};
