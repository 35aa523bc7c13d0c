import { apartDegrees, markOf, MARKS_MEET_DEGREES } from '../job';
import type { PartRole } from '../valve';
import type { TaskKind } from './task-kind';

/** Match marks by the clock; at rebuild each must meet the mark that `was` set. */
export interface MarksTask {
  readonly kind: 'marks';
  readonly parts: readonly PartRole[];
  /** Id of the step that set them. */
  readonly was?: string;
}

export const marksTask: TaskKind<MarksTask> = {
  finishedBy: ({ parts, was }, facts) => {
    const { state, id } = facts;
    const stand = parts.every((part) => {
      const now = markOf(state, id, part);
      if (!now || was === undefined) return now !== undefined;
      const before = markOf(state, was, part);
      return before === undefined || apartDegrees(now, before) <= MARKS_MEET_DEGREES;
    });
    return stand ? facts.on('mark-set').at(-1) : undefined;
  },
  plainly: ({ parts, was }, { state, step, clock }) =>
    parts.map((part, i) => {
      const before = was === undefined ? undefined : markOf(state, was, part);
      return { kind: 'set-mark', body: { step, part, clock: before ?? clock(part, i) } };
    }),
};
