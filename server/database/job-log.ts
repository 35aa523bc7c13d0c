import { readLog, type Entry, type Fact } from '@dusk-wren/core/job';
import { Op, type Transaction } from 'sequelize';
import { hashAfter } from './log-chain';
import { EventRow } from './models';

/** Entries of a job's log after `after`, oldest first. A log that cannot be read is a fault of this system and throws. */
export async function loadLog(
  jobId: string,
  after: number,
  transaction: Transaction | null = null,
): Promise<Entry[]> {
  const log = readLog(await loadRawLog(jobId, after, transaction));
  if (!log.ok) throw new Error(`the log of job ${jobId} cannot be read: ${JSON.stringify(log.problem)}`);
  return log.value;
}

/** The entries as they are stored, to be read elsewhere. */
export async function loadRawLog(
  jobId: string,
  after: number,
  transaction: Transaction | null = null,
): Promise<unknown[]> {
  const rows = await EventRow.findAll({
    where: { jobId, seq: { [Op.gt]: after } },
    order: [['seq', 'ASC']],
    raw: true,
    transaction,
  });
  return rows.map(toRaw);
}

/** One as it is stored. */
export function toRaw(row: EventRow): unknown {
  return {
    seq: row.seq,
    kind: row.kind,
    format: row.format,
    commandId: row.commandId,
    at: row.at,
    ...(row.toldByDevice ? { receivedAt: row.receivedAt.toISOString() } : {}),
    by: JSON.parse(row.person) as unknown,
    body: JSON.parse(row.body) as unknown,
  };
}

/** Appends entries; unique (job, seq) is the last guard against two writers. Each carries the hash of the one before. */
export async function appendLog(
  jobId: string,
  entries: readonly Entry[],
  transaction: Transaction,
): Promise<void> {
  const now = new Date();
  let hash = await lastHash(jobId, entries[0]?.seq ?? 1, transaction);
  const rows = entries.map((entry) => {
    const row = {
      jobId,
      seq: entry.seq,
      commandId: entry.commandId,
      kind: entry.kind,
      format: entry.format,
      body: JSON.stringify(entry.body),
      person: JSON.stringify(entry.by),
      instrumentId: instrumentOf(entry),
      at: entry.at,
      toldByDevice: entry.receivedAt !== undefined,
      receivedAt: entry.receivedAt === undefined ? now : new Date(entry.receivedAt),
    };
    hash = hashAfter(hash, row);
    return { ...row, hash };
  });
  await EventRow.bulkCreate(rows, { transaction });
}

/** What the entry `seq` follows from. */
async function lastHash(jobId: string, seq: number, transaction: Transaction): Promise<string> {
  if (seq === 1) return jobId;
  const row = await EventRow.findOne({
    where: { jobId, seq: seq - 1 },
    attributes: ['hash'],
    raw: true,
    transaction,
  });
  if (!row) throw new Error(`entry ${seq - 1} of job ${jobId} is not there to be followed`);
  return row.hash;
}

function instrumentOf({ body }: Fact): string | null {
  return 'readBy' in body && body.readBy !== 'hand' ? body.readBy.id : null;
}
