import type { Found } from '../../job';

/** What the register knows of a valve that may be taken in an outage. */
export interface Candidate {
  readonly id: string;
  /** How its last job found it; nothing where none did. */
  readonly found?: Found;
  /** Days from the window until it is due, below nothing where it is over already; nothing where it is due for nothing. */
  readonly dueInDays?: number;
  /** One like it lies ready. */
  readonly spare: boolean;
}

/** Common practice: what does not do its duty before what wears, and what nobody has looked at before what was good. */
const WORST_FIRST: readonly (Found | undefined)[] = [
  'stuck',
  'outside',
  'leaking',
  'high',
  'low',
  'dirty',
  undefined,
  'good',
];

/**
 * Who goes first: how badly it was found, then how soon it is due; of two alike the one that no spare stands in for
 * (handbook part 7, section 2).
 */
export const byRisk = <T extends Candidate>(candidates: readonly T[]): T[] =>
  candidates.toSorted(
    (a, b) =>
      WORST_FIRST.indexOf(a.found) - WORST_FIRST.indexOf(b.found) ||
      sooner(a.dueInDays, b.dueInDays) ||
      Number(a.spare) - Number(b.spare) ||
      a.id.localeCompare(b.id),
  );

const sooner = (a: number | undefined, b: number | undefined): number =>
  a === b ? 0 : a === undefined ? 1 : b === undefined ? -1 : a - b;
