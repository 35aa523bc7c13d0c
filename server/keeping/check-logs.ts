import { fold, readLog } from '@dusk-wren/core/job';
import { wordProblem } from '@dusk-wren/contract/wording';
import { Op } from 'sequelize';
import { toRaw } from '../database/job-log';
import { hashAfter } from '../database/log-chain';
import { EventRow, JobRow, ReceiptRow } from '../database/models';

/** Where a job's record does not say what it said. */
export interface LogFault {
  readonly job: string;
  readonly tag: string;
  readonly what: string;
}

export interface LogCheck {
  readonly jobs: number;
  readonly entries: number;
  readonly faults: readonly LogFault[];
}

const AT_ONCE = 50;

/** Reads every log: whether its entries follow from each other, none is missing, and it still folds. */
export async function checkLogs(): Promise<LogCheck> {
  const faults: LogFault[] = [];
  let [jobs, entries, after] = [0, 0, ''];
  for (;;) {
    const rows = await JobRow.findAll({
      where: { id: { [Op.gt]: after } },
      order: [['id', 'ASC']],
      limit: AT_ONCE,
    });
    for (const job of rows) {
      const log = await EventRow.findAll({ where: { jobId: job.id }, order: [['seq', 'ASC']], raw: true });
      const lastReceipt: number = (await ReceiptRow.max('lastSeq', { where: { jobId: job.id } })) ?? 0;
      const what = faultIn(job, log, lastReceipt);
      if (what !== undefined) faults.push({ job: job.id, tag: job.tag, what });
      entries += log.length;
    }
    jobs += rows.length;
    const last = rows.at(-1);
    if (!last) return { jobs, entries, faults };
    after = last.id;
  }
}

function faultIn(job: JobRow, log: readonly EventRow[], lastReceipt: number): string | undefined {
  let before = job.id;
  for (const [i, row] of log.entries()) {
    if (row.seq !== i + 1) return `entry ${i + 1} is missing`;
    if (row.hash === '') return `entry ${row.seq} has no hash: it was written outside the application`;
    if (hashAfter(before, row) !== row.hash)
      return `entry ${row.seq} (${row.kind}, ${row.at}) does not follow from those before it: it was changed outside the application`;
    before = row.hash;
  }
  const length = Math.max(job.version, lastReceipt);
  if (log.length < length) return `entries ${log.length + 1} to ${length} are missing`;
  if (log.length > job.version) return `it has ${log.length} entries and says that it has ${job.version}`;
  const read = readLog(log.map(toRaw));
  const folded = read.ok ? fold(read.value) : read;
  return folded.ok ? undefined : `it cannot be read: ${wordProblem(folded.problem)}`;
}
