import type { TaskKind } from './task-kind';

/** A hold point: another person releases it. */
export interface HoldTask {
  readonly kind: 'hold';
  readonly witness: string;
}

export const holdTask: TaskKind<HoldTask> = {
  onPurpose: true,
  signed: true,
  finishedBy: (_, facts) => facts.on('hold-released').at(-1),
  plainly: (_, { step }) => [{ kind: 'release-hold', body: { step }, by: 'inspector' }],
};
