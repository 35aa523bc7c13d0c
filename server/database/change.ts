import type { Entry, JobId, JobState } from '@dusk-wren/core/job';
import type { Transaction } from 'sequelize';

/** New entries of a job, with what it was before and is after them, in the transaction that appends them. */
export interface Change {
  readonly jobId: JobId;
  readonly before: JobState;
  readonly after: JobState;
  readonly entries: readonly Entry[];
  readonly transaction: Transaction;
}
