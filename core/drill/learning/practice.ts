import { createEmptyCard, fsrs, Rating, type Card, type Grade } from 'ts-fsrs';
import { PASS } from '../frame/marks';
import type { Done } from './attempt';

/**
 * When to practise again: the Free Spaced Repetition Scheduler with its published parameters (`ts-fsrs`), by the day and
 * without its random spread, so that the same history always says the same day.
 */
const scheduler = fsrs({ enable_fuzz: false, enable_short_term: false, maximum_interval: 365 });

/** Not passed is forgotten; passed is hard, good or easy by how well. */
const [GOOD_FROM, EASY_FROM] = [0.9, 0.98];

function gradeOf({ score }: Pick<Done, 'score'>): Grade {
  if (score < PASS) return Rating.Again;
  if (score < GOOD_FROM) return Rating.Hard;
  return score < EASY_FROM ? Rating.Good : Rating.Easy;
}

export interface Practice {
  /** From when on it is to be practised again. */
  readonly due: Date;
  /** How likely it still sits, 0 to 1, at a moment. */
  readonly sits: (now: Date) => number;
}

/** By everything done of one kind, the oldest first; nothing where it never was. */
export function practiceOf(done: readonly Done[]): Practice | undefined {
  const [first] = done;
  if (!first) return undefined;
  const card = done.reduce<Card>(
    (so, each) => scheduler.next(so, each.at, gradeOf(each)).card,
    createEmptyCard(first.at),
  );
  return { due: card.due, sits: (now) => scheduler.get_retrievability(card, now, false) };
}
