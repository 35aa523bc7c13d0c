import type { DrillId } from '../frame/ids';
import type { Skill } from './skill';

/** What is asked before somebody is planned for a kind of work. */
export interface AskedFor<Work extends string> {
  readonly work: Work;
  /** Subjects that must hold. */
  readonly drills: readonly DrillId[];
  /** And a real job of it under somebody’s eyes. */
  readonly witnessed: boolean;
}

/** What is still wanting for a kind of work; nothing where they qualify. */
export interface Wanting<Work extends string> {
  readonly work: Work;
  readonly drills: readonly DrillId[];
  readonly witness: boolean;
}

/** Work that somebody is not planned for, by what the shop asks, what holds of theirs and what they were watched at. */
export function wantingOf<Work extends string>(
  rules: readonly AskedFor<Work>[],
  skills: readonly Pick<Skill, 'drill' | 'standing'>[],
  watchedAt: ReadonlySet<Work>,
): Wanting<Work>[] {
  const holds = new Set(skills.flatMap(({ drill, standing }) => (standing === 'holds' ? [drill] : [])));
  return rules.flatMap(({ work, drills, witnessed }) => {
    const wanting = drills.filter((drill) => !holds.has(drill));
    const witness = witnessed && !watchedAt.has(work);
    return wanting.length > 0 || witness ? [{ work, drills: wanting, witness }] : [];
  });
}
