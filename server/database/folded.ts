import { EMPTY_JOB, type JobState } from '@dusk-wren/core/job';

const MOST = 200;

/**
 * The folded state of jobs worked on lately, least lately first. The log is append-only, so a state once committed
 * stays the true beginning of its job for good; only what came after it is read. Losing it costs a longer read.
 */
const states = new Map<string, JobState>();

/** The job's state as far as this process knows it, never ahead of `version`; the empty job when it knows nothing. */
export function knownState(jobId: string, version: number): JobState {
  const state = states.get(jobId);
  return state && state.version <= version ? state : EMPTY_JOB;
}

/** Keeps a state whose transaction has been committed. */
export function keepState(jobId: string, state: JobState): void {
  const older = states.get(jobId);
  if (older && older.version > state.version) return;
  states.delete(jobId);
  states.set(jobId, state);
  const first = states.size > MOST ? states.keys().next().value : undefined;
  if (first !== undefined) states.delete(first);
}
