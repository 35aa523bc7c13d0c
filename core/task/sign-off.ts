import type { TaskKind } from './task-kind';

/** Two sign: whoever did it, and whoever looked. */
export interface SignOffTask {
  readonly kind: 'sign-off';
  readonly done: string;
  readonly checked: string;
}

export const signOffTask: TaskKind<SignOffTask> = {
  onPurpose: true,
  signed: true,
  // Settled by the plan, which knows what a signature covers.
  finishedBy: () => undefined,
  plainly: (_, { step }) => [
    { kind: 'sign-isolation', body: { step, side: 'done' } },
    { kind: 'sign-isolation', body: { step, side: 'checked' }, by: 'lead' },
  ],
};
