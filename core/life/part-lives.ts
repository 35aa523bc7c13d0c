import type { JobId } from '../job';
import type { PartRole } from '../valve';
import type { LivedJob } from './lived';

/** A part from the job that fitted it until the one that took it out, or until now. */
export interface PartLife {
  readonly part: PartRole;
  readonly fittedBy: JobId;
  readonly fittedOn: string;
  /** Absent while it runs. */
  readonly endedOn?: string;
  /** Failed: found beyond its limit or broken; gone: renewed for another cause, at an age that it outlived. */
  readonly fate: 'running' | 'failed' | 'gone';
  /** The one before it had failed, at an age that nobody knows. */
  readonly afterUnknown: boolean;
}

/**
 * How old the parts of a valve became, by its signed jobs, the oldest first. What is found at an inspection failed before
 * it: ages are upper ends. Source: handbook part 7, section 1.
 */
export function partLives(lives: readonly LivedJob[]): PartLife[] {
  const running = new Map<PartRole, PartLife>();
  const over: PartLife[] = [];
  for (const { job, lived } of lives)
    for (const { part, why } of lived.renewed) {
      const before = running.get(part);
      const hasFailed = why === 'found bad';
      if (before) over.push({ ...before, endedOn: lived.signed, fate: hasFailed ? 'failed' : 'gone' });
      running.set(part, {
        ...{ part, fittedBy: job, fittedOn: lived.signed, fate: 'running' },
        afterUnknown: hasFailed && before === undefined,
      });
    }
  return [...over, ...running.values()];
}
