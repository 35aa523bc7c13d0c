import { DRILL_IDS, type DrillId, type Level } from '../frame/ids';
import { PASS } from '../frame/marks';
import { ofKind, type Done } from './attempt';
import { nextLevel } from './level';
import { practiceOf, type Practice } from './practice';

/** So many of the last count (handbook part 7). */
export const LAST = 5;
/** A skill that sits less surely than this has faded: it is practised before it is relied on. */
export const FADED_BELOW = 0.85;
/** However well it was known: after a year it is shown again (common practice). */
const LONGEST_DAYS = 365;

export const STANDINGS = ['not begun', 'learning', 'holds', 'faded'] as const;
export type Standing = (typeof STANDINGS)[number];

/** Where somebody stands in one subject. */
export interface Skill {
  readonly drill: DrillId;
  readonly standing: Standing;
  /** How many were done, the mean of the last five, and how surely it sits today; 0 to 1. */
  readonly done: number;
  readonly mean: number;
  readonly sits: number;
  readonly level: Level;
  readonly last?: Date;
  readonly due?: Date;
  /** When it fades, if nobody practises; of one that holds. */
  readonly fades?: Date;
}

const DAY = 24 * 3600 * 1000;

/** One subject, by everything done of it. */
export function skillIn(drill: DrillId, done: readonly Done[], now: Date): Skill {
  const own = ofKind(done, drill);
  const practice = practiceOf(own);
  const last = own.at(-1);
  if (!practice || !last)
    return { drill, standing: 'not begun', done: 0, mean: 0, sits: 0, level: nextLevel([]) };
  const recent = own.slice(-LAST);
  const mean = recent.reduce((sum, { score }) => sum + score, 0) / recent.length;
  const sits = practice.sits(now);
  const passed = recent.length === LAST && mean >= PASS - 1e-9;
  const sitsAt = (at: Date) => sitsStill(practice, last, at);
  const holds = passed && sitsAt(now);
  return {
    ...{ drill, mean, sits, level: nextLevel(own), done: own.length },
    standing: holds ? 'holds' : passed ? 'faded' : 'learning',
    last: last.at,
    due: practice.due,
    ...(holds ? { fades: fadesOn(sitsAt, now) } : {}),
  };
}

const sitsStill = ({ sits }: Practice, last: Done, at: Date): boolean =>
  sits(at) >= FADED_BELOW && at.getTime() - last.at.getTime() < LONGEST_DAYS * DAY;

/** The day from which it sits no longer, by halving. */
function fadesOn(sitsAt: (at: Date) => boolean, now: Date): Date {
  const after = (days: number) => new Date(now.getTime() + days * DAY);
  let [holds, faded] = [0, LONGEST_DAYS];
  while (faded - holds > 1) {
    const middle = Math.floor((holds + faded) / 2);
    if (sitsAt(after(middle))) holds = middle;
    else faded = middle;
  }
  return after(faded);
}

/** All ten. */
export const skillsOf = (done: readonly Done[], now: Date): Skill[] =>
  DRILL_IDS.map((drill) => skillIn(drill, done, now));
