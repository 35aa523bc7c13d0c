import { valveOf } from '../job';
import { asksOf, type Ask } from '../valve';
import type { TaskKind } from './task-kind';

/** A figure that was unknown when the valve came in. */
export interface AskTask {
  readonly kind: 'ask';
  readonly ask: Ask;
}

export const askTask: TaskKind<AskTask> = {
  finishedBy: ({ ask }, { state }) => {
    const valve = valveOf(state);
    const answered = state.records['valve-identified'].findLast(
      ({ body }) => body.details[ask.id] !== undefined,
    );
    return valve && !asksOf(valve).some(({ id }) => id === ask.id) ? answered : undefined;
  },
  plainly: (_, { details }) => [{ kind: 'identify-valve', body: { details: details() } }],
};
