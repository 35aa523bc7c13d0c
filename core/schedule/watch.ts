import type { Solved } from './engine/instant';

/** Seconds that are left, and who wants to hear of a better plan as it is found. */
export interface Watch {
  readonly left: () => number;
  readonly heard?: (solved: Solved) => void;
}
