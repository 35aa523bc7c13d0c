import type { JobExport } from '@dusk-wren/contract';
import {
  fold,
  jobId as jobIdSchema,
  readLog,
  valveId as valveIdSchema,
  type JobId,
  type PersonStamp,
} from '@dusk-wren/core/job';
import type { Sequelize } from 'sequelize';
import { Refusal } from '../refusal';
import { columnsOf } from '../store/commit';
import { appendLog, loadLog } from '../store/job-log';
import { JobRow, ReceiptRow } from '../store/models';
import { fileValve, findValve } from '../store/valves';

/** A whole job as a file: see docs/formats.md. */
export async function exportJob(row: JobRow, now: string): Promise<JobExport> {
  const filed = await findValve(row.valveId);
  if (!filed) throw new Error(`job ${row.id} has no valve`);
  return {
    format: 'dusk-wren job',
    version: 1,
    exportedAt: now,
    job: { id: jobIdSchema.parse(row.id), valveId: valveIdSchema.parse(row.valveId) },
    valve: filed.valve,
    entries: await loadLog(row.id, 0),
  };
}

/** Brings an exported job in, as it was: all of it or nothing. Only a lead may, for its people are taken on trust. */
export async function importJob(
  sequelize: Sequelize,
  exported: JobExport,
  person: PersonStamp,
  now: string,
): Promise<JobId> {
  if (person.role !== 'lead')
    throw new Refusal({ code: 'role.not-allowed', role: person.role, wanted: ['lead'] });
  const log = readLog(exported.entries);
  if (!log.ok) throw new Refusal(log.problem);
  const state = fold(log.value);
  if (!state.ok) throw new Refusal(state.problem);
  if (state.value.records['job-opened'].length !== 1) throw new Refusal({ code: 'job.not-open' });
  const columns = columnsOf(state.value);
  const opened = state.value.records['job-opened'][0];
  return sequelize.transaction(async (transaction) => {
    if (await JobRow.findByPk(exported.job.id, { transaction }))
      throw new Refusal({ code: 'import.exists', tag: exported.valve.tag });
    const { job, valve } = exported;
    if (!(await findValve(job.valveId, transaction)))
      await fileValve(valve, transaction, { id: job.valveId });
    await JobRow.create(
      {
        id: job.id,
        valveId: job.valveId,
        openedAt: new Date(opened?.at ?? now),
        openValveId: columns.state === 'open' ? job.valveId : null,
        ...columns,
      },
      { transaction },
    );
    await appendLog(job.id, log.value, transaction);
    const receipts = new Map<string, { firstSeq: number; lastSeq: number }>();
    for (const { commandId, seq } of log.value)
      receipts.set(commandId, { firstSeq: receipts.get(commandId)?.firstSeq ?? seq, lastSeq: seq });
    await ReceiptRow.bulkCreate(
      [...receipts].map(([commandId, range]) => ({ commandId, jobId: job.id, ...range })),
      { transaction, ignoreDuplicates: true },
    );
    return job.id;
  });
}
