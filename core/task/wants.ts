import type { DetailId } from '../valve';
import type { TaskKind } from './task-kind';

/** Figures are missing; the asks before this step bring them. */
export interface WantsTask {
  readonly kind: 'wants';
  readonly wants: readonly DetailId[];
}

export const wantsTask: TaskKind<WantsTask> = {
  finishedBy: (_, facts) => facts.byHand(),
  plainly: ({ wants }, { step }) => {
    throw new Error(`${step} is ready but wants ${wants.join(', ')}`);
  },
};
