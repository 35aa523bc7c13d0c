import type { TaskKind } from './task-kind';

/** A lock and a tag of one's own on a point; taken off again by the same hand. */
export interface LockTask {
  readonly kind: 'lock';
  readonly point: string;
}

export const lockTask: TaskKind<LockTask> = {
  finishedBy: (_, facts) => facts.on('lock-hung').at(-1),
  plainly: (_, { step, lock }) => [{ kind: 'hang-lock', body: { step, ...lock() } }],
};
