import type { DrillId, Level } from '../frame/ids';

/** An exercise that was done, as learning counts it. */
export interface Done {
  readonly drill: DrillId;
  readonly level: Level;
  /** 0 to 1. */
  readonly score: number;
  readonly at: Date;
}

/** Those of one kind, the oldest first. */
export const ofKind = <T extends Done>(done: readonly T[], drill: DrillId): T[] =>
  done.filter((each) => each.drill === drill).sort((a, b) => a.at.getTime() - b.at.getTime());
