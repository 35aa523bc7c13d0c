import type { SheetLength, TorquePlace } from '../valve';
import type { TaskKind } from './task-kind';

/** The maker's figures of this model, typed once. */
export interface MakersSheetTask {
  readonly kind: 'makers-sheet';
  readonly model?: string;
  readonly joint: boolean;
  readonly gland: boolean;
  /** Other places of this valve that are tightened to a figure. */
  readonly places: readonly TorquePlace[];
  /** Lengths of new parts that wear is judged against. */
  readonly lengths: readonly SheetLength[];
}

export const makersSheetTask: TaskKind<MakersSheetTask> = {
  finishedBy: (_, facts) => facts.state.records['makers-sheet-filed'].at(-1) ?? facts.byHand(),
  plainly: (_, { step }) => [{ kind: 'do-step', body: { step, notNeeded: true } }],
  wantsByHand: () => 'the maker’s figures',
};
