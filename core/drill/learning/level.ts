import { PASS } from '../frame/marks';
import { LEVELS, type Level } from '../frame/ids';
import type { Done } from './attempt';

/** So many passed at a level in a row lead to the next; so many not passed, back. */
const [UP_AFTER, DOWN_AFTER] = [3, 2];

/** The level of the next exercise of a kind, by those done before, the oldest first. */
export function nextLevel(done: readonly Pick<Done, 'level' | 'score'>[]): Level {
  let [level, passed, failed]: [number, number, number] = [LEVELS[0], 0, 0];
  for (const each of done) {
    // What a teacher sent of another level teaches, but moves nobody up or down.
    if (each.level !== level) continue;
    [passed, failed] = each.score >= PASS ? [passed + 1, 0] : [0, failed + 1];
    const by = passed === UP_AFTER ? 1 : failed === DOWN_AFTER ? -1 : 0;
    if (by === 0) continue;
    level = Math.max(LEVELS[0], Math.min(LEVELS.length, level + by));
    [passed, failed] = [0, 0];
  }
  return LEVELS.find((each) => each === level) ?? LEVELS[0];
}
