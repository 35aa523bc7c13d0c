import type { TaskKind } from './task-kind';

/** A lock off its point, by the hand that hung it. */
export interface UnlockTask {
  readonly kind: 'unlock';
  readonly point: string;
}

export const unlockTask: TaskKind<UnlockTask> = {
  onPurpose: true,
  letsPressureIn: true,
  finishedBy: (_, facts) => facts.on('lock-removed').at(-1),
  plainly: (_, { step }) => [{ kind: 'remove-lock', body: { step } }],
};
