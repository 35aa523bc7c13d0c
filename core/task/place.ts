import type { SymptomId } from '../diagnosis';
import type { TaskKind } from './task-kind';

/** Where the fault lies, found by the fault finder. */
export interface PlaceTask {
  readonly kind: 'place';
  readonly symptoms: readonly SymptomId[];
}

export const placeTask: TaskKind<PlaceTask> = {
  finishedBy: (_, facts) => facts.on('fault-placed').at(-1) ?? facts.byHand(),
  plainly: (_, { step }) => [{ kind: 'do-step', body: { step, notNeeded: true } }],
  wantsByHand: () => 'the fault placed',
};
