import type { TaskKind } from './task-kind';

/** Grinding in is a part against its own seat; lapping is a part against a block or a lap. */
export type LapsAgainst = 'its own seat' | 'a block or lap';

export interface LappingTask {
  readonly kind: 'lapping';
  readonly against: LapsAgainst;
  readonly grits: readonly number[];
}

export const lappingTask: TaskKind<LappingTask> = {
  finishedBy: (_, facts) => facts.byHand(),
  plainly: ({ grits }, { step }) => [
    ...grits.map((grit) => ({ kind: 'log-lapping', body: { step, grit, minutes: '3 min' } })),
    { kind: 'do-step', body: { step } },
  ],
  wantsByHand: (_, facts) =>
    facts.on('lapping-logged').length === 0 ? 'at least one round in the lapping log' : undefined,
};
