import { EMPTY_JOB, fold, type JobId, type JobState } from '@dusk-wren/core/job';
import { must } from '@dusk-wren/core/problem';
import type { Transaction } from 'sequelize';
import { loadLog } from './job-log';

const MOST = 200;

/**
 * The folded state of jobs looked at lately, least lately first. The log is append-only, so a state once committed
 * stays the true beginning of its job for good; only what came after it is read. Losing it costs a longer read.
 */
const states = new Map<string, JobState>();

/** The state of a job that stands at `version`: as it was folded before, with what came since. */
export async function stateOf(
  jobId: JobId,
  version: number,
  transaction: Transaction | null = null,
): Promise<JobState> {
  const kept = states.get(jobId);
  const known = kept && kept.version <= version ? kept : EMPTY_JOB;
  if (known.version === version) return known;
  const state = must(fold(await loadLog(jobId, known.version, transaction), known));
  keepState(jobId, state);
  return state;
}

/** Keeps a state whose entries have been committed. */
export function keepState(jobId: JobId, state: JobState): void {
  const older = states.get(jobId);
  if (older && older.version > state.version) return;
  states.delete(jobId);
  states.set(jobId, state);
  const first = states.size > MOST ? states.keys().next().value : undefined;
  if (first !== undefined) states.delete(first);
}
