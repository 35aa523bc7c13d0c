import type { EntryOf, JobState } from '../job';
import type { PartRole } from '../valve';
import type { TaskKind } from './task-kind';

/** A part received. */
export interface ArriveTask {
  readonly kind: 'arrive';
  readonly part: PartRole;
}

export const arriveTask: TaskKind<ArriveTask> = {
  finishedBy: ({ part }, { state }) => arrivedOf(state, part),
  plainly: (_, { step }) => [{ kind: 'receive-part', body: { step } }],
  handsOver: (title) => ({ list: 'waits', line: title }),
};

export const arrivedOf = (state: JobState, part: PartRole): EntryOf<'part-arrived'> | undefined =>
  state.records['part-arrived'].findLast(({ body }) => body.part === part);
