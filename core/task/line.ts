import type { TaskKind } from './task-kind';

/** How the valve stands in its line. */
export interface LineTask {
  readonly kind: 'line';
}

export const lineTask: TaskKind<LineTask> = {
  finishedBy: (_, { state }) => state.records['line-drawn'].at(-1),
  plainly: (_, { step, line }) => [{ kind: 'draw-line', body: { step, line: line() } }],
};
