import type { TaskKind } from './task-kind';

/** Simply to be done. */
export interface DoTask {
  readonly kind: 'do';
  /** What must be written down with it. */
  readonly writes?: string;
}

export const doTask: TaskKind<DoTask> = {
  finishedBy: (_, facts) => facts.byHand(),
  plainly: ({ writes }, { step, written }) => [
    { kind: 'do-step', body: { step, ...(writes === undefined ? {} : { note: written() }) } },
  ],
  wantsByHand: ({ writes }, _, note) => (note ? undefined : writes),
};
