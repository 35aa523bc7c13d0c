import { openingOf, type Entry, type JobId, type JobState } from '@dusk-wren/core/job';
import type { Transaction } from 'sequelize';
import { columnsOf } from './commit';
import { appendLog } from './job-log';
import { JobRow, ReceiptRow } from './models';
import { lifeKept } from './valve-lives';
import { timesKept } from './work-times';

/** Files a job whose log is whole already: its lines in every list, its receipts, what it says in its valve’s life. */
export async function fileJob(
  job: {
    readonly id: JobId;
    readonly valveId: string;
    readonly log: readonly Entry[];
    readonly state: JobState;
  },
  transaction: Transaction,
): Promise<void> {
  const { id, valveId, log, state } = job;
  const columns = columnsOf(state);
  await JobRow.create(
    {
      ...{ id, valveId, openedAt: new Date(openingOf(state)?.at ?? Date.now()) },
      openValveId: columns.state === 'open' ? valveId : null,
      ...columns,
    },
    { transaction },
  );
  await appendLog(id, log, transaction);
  const receipts = new Map<string, { firstSeq: number; lastSeq: number }>();
  for (const { commandId, seq } of log)
    receipts.set(commandId, { firstSeq: receipts.get(commandId)?.firstSeq ?? seq, lastSeq: seq });
  await ReceiptRow.bulkCreate(
    [...receipts].map(([commandId, range]) => ({ commandId, jobId: id, ...range })),
    { transaction, ignoreDuplicates: true },
  );
  await lifeKept(id, state, transaction);
  await timesKept(id, state, transaction);
}
