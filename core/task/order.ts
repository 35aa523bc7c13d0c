import type { PartRole } from '../valve';
import { arrivedOf } from './arrive';
import type { TaskKind } from './task-kind';

/** A part ordered, with the day it is expected. */
export interface OrderTask {
  readonly kind: 'order';
  readonly part: PartRole;
  readonly leadDays: number;
}

export const orderTask: TaskKind<OrderTask> = {
  finishedBy: ({ part }, { state }) =>
    state.records['part-ordered'].findLast(({ body }) => body.part === part) ?? arrivedOf(state, part),
  plainly: ({ leadDays }, { step, expected }) => [
    { kind: 'order-part', body: { step, expected: expected(leadDays) } },
  ],
};
