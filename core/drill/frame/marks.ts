import type { Phrase } from '../../quantity';

/** What one part of an exercise was worth, and why. */
export interface MarkLine {
  readonly what: string;
  /** Points got of those there are. */
  readonly points: number;
  readonly of: number;
  readonly said: Phrase;
  /** On a real job somebody would have been hurt: the whole exercise is not passed. */
  readonly unsafe?: true;
}

export interface Marks {
  readonly lines: readonly MarkLine[];
  readonly hints: number;
  /** 0 to 1, hints taken off. */
  readonly score: number;
  readonly passed: boolean;
}

/** A single exercise is passed from here on; so is a subject, over the last five (the shop's rule, handbook part 7). */
export const PASS = 0.8;
/** What a hint costs. */
export const HINT_COSTS = 0.1;
/** The most that an unsafe one comes to. */
const UNSAFE_AT_MOST = 0.5;

/** The lines added up. An exercise without a line would be none: it comes to nothing. */
export function marksOf(lines: readonly MarkLine[], hints: number): Marks {
  const of = lines.reduce((sum, line) => sum + line.of, 0);
  const got = lines.reduce((sum, line) => sum + Math.max(0, Math.min(line.of, line.points)), 0);
  const share = of > 0 ? got / of : 0;
  const most = lines.some(({ unsafe }) => unsafe) ? UNSAFE_AT_MOST : 1;
  const score = Math.max(0, Math.min(most, share - HINT_COSTS * hints));
  return { lines, hints, score, passed: score >= PASS - 1e-9 };
}

/** All of the points or none. */
export const allOrNone = (what: string, of: number, isRight: boolean, said: Phrase): MarkLine => ({
  what,
  of,
  points: isRight ? of : 0,
  said,
});
