import { decide, openJob, readCommand, record, type Command } from '@dusk-wren/core/command';
import {
  EMPTY_JOB,
  standingEntries,
  type BodyOf,
  type CommandId,
  type Entry,
  type JobId,
  type JobState,
  type PersonStamp,
  valveOf,
} from '@dusk-wren/core/job';
import { plan, summarise } from '@dusk-wren/core/plan';
import { must } from '@dusk-wren/core/problem';
import { UniqueConstraintError, type Sequelize, type Transaction } from 'sequelize';
import { Refusal } from '../refusal';
import { follow } from './followers';
import { happened, happeningsOf } from './happenings';
import { edgeFor } from './edge';
import { appendLog, loadLog } from './job-log';
import { JobRow, ReceiptRow } from './models';
import { sheetFor } from './makers-sheets';
import { keepState, stateOf } from './state-of';
import { transacted } from './transacted';

export type Committed =
  | { readonly kind: 'taken'; readonly version: number; readonly entries: readonly Entry[] }
  | { readonly kind: 'stale'; readonly version: number; readonly missed: readonly Entry[] };

interface Request {
  readonly jobId: JobId;
  readonly baseVersion: number;
  readonly commandId: CommandId;
  readonly command: unknown;
  readonly person: PersonStamp;
  readonly now: string;
  /** When it was done on a device without a connection. */
  readonly doneAt?: string;
}

/**
 * Commits a command: in one transaction the job is locked, its log folded, the core asked, the entries appended, the
 * receipt written and the summary renewed. The same command id twice gives the same answer, once.
 */
export async function commit(sequelize: Sequelize, request: Request): Promise<Committed> {
  const read = readCommand(request.command);
  if (!read.ok) throw new Refusal(read.problem);
  const command = read.value;
  const attempt = async (): Promise<Committed> => {
    const { answer, state } = await transacted(sequelize, (transaction) =>
      inTransaction(request, command, transaction),
    );
    if (state) keepState(request.jobId, state);
    return answer;
  };
  try {
    return await attempt();
  } catch (error) {
    if (!(error instanceof UniqueConstraintError)) throw error;
    return attempt();
  }
}

async function inTransaction(
  request: Request,
  command: Command,
  transaction: Transaction,
): Promise<{ answer: Committed; state?: JobState }> {
  const { jobId, commandId, person } = request;
  // One connection answers in order: the receipt is read after the lock is held, without waiting for it here.
  const [job, receipt] = await Promise.all([
    JobRow.findByPk(jobId, { transaction, lock: transaction.LOCK.UPDATE }),
    ReceiptRow.findByPk(commandId, { transaction }),
  ]);
  if (!job) throw new Refusal({ code: 'not-found', what: 'job' });
  if (receipt) return { answer: await answerAgain(receipt, request, transaction) };
  if (request.baseVersion !== job.version) {
    if (request.baseVersion > job.version) throw new Refusal({ code: 'job.stale', version: job.version });
    const missed = await loadLog(jobId, request.baseVersion, transaction);
    return { answer: { kind: 'stale', version: job.version, missed } };
  }
  const state = await stateOf(jobId, job.version, transaction);
  const moment = momentOf(request, state);
  const edge = await edgeFor(command, { jobId, person, at: moment.at, now: request.now }, transaction);
  const facts = decide(state, command, edge);
  if (!facts.ok) throw new Refusal(facts.problem);
  const recorded = must(record(state, facts.value, { commandId, by: person, ...moment }));
  const columns = columnsOf(recorded.state);
  const receiptRow = { commandId, jobId, firstSeq: state.version + 1, lastSeq: recorded.state.version };
  const became = happeningsOf(
    { job: state, state: job.state },
    { job: recorded.state, state: columns.state },
  );
  await follow({ jobId, before: state, after: recorded.state, entries: recorded.entries, transaction });
  // One after the other: where a transaction is given up, a statement sent behind the one that failed is kept by itself.
  await appendLog(jobId, recorded.entries, transaction);
  await ReceiptRow.create(receiptRow, { transaction });
  await job.update({ ...columns, ordersVersion: columns.version }, { transaction });
  const at = new Date(request.now);
  for (const kind of became) await happened({ kind, at, jobId, tag: columns.tag }, transaction);
  return {
    answer: { kind: 'taken', version: recorded.state.version, entries: recorded.entries },
    state: recorded.state,
  };
}

/** A device without a connection for longer than a long weekend is not believed about the time. */
const LONGEST_WITHOUT_CONNECTION = 4 * 24 * 60 * 60 * 1000;

/**
 * When a command was done: as its device says, as long as that lies between the job's last entry and now and is not days
 * ago, and then with the moment it came beside it; a clock that is wrong, or an entry of somebody else in between, makes
 * it the moment it came.
 */
function momentOf({ now, doneAt }: Request, state: JobState): { at: string; receivedAt?: string } {
  if (doneAt === undefined) return { at: now };
  const [then, came] = [Date.parse(doneAt), Date.parse(now)];
  const last = Date.parse(standingEntries(state).at(-1)?.at ?? now);
  return then >= last && then <= came && came - then <= LONGEST_WITHOUT_CONNECTION
    ? { at: new Date(then).toISOString(), receivedAt: now }
    : { at: now };
}

/** The same command again has the same answer; one of another job, or by another person, has none. */
async function answerAgain(
  receipt: ReceiptRow,
  { jobId, person }: Request,
  transaction: Transaction,
): Promise<Committed> {
  if (receipt.jobId !== jobId) throw new Refusal({ code: 'command.other-answer' });
  const entries = (await loadLog(jobId, receipt.firstSeq - 1, transaction)).filter(
    ({ seq }) => seq <= receipt.lastSeq,
  );
  if (entries.some(({ by }) => by.id !== person.id)) throw new Refusal({ code: 'command.other-answer' });
  return { kind: 'taken', version: receipt.lastSeq, entries };
}

/** Opens a job, once for its command id. */
export async function commitOpening(
  request: {
    jobId: JobId;
    valveId: string;
    commandId: CommandId;
    body: BodyOf<'job-opened'>;
    person: PersonStamp;
    now: string;
  },
  transaction: Transaction,
): Promise<JobState> {
  const { jobId, valveId, commandId, body, person, now } = request;
  const facts = openJob(body, person, await sheetFor(body.valve.plate?.model, transaction));
  if (!facts.ok) throw new Refusal(facts.problem);
  const recorded = must(record(EMPTY_JOB, facts.value, { commandId, by: person, at: now }));
  await JobRow.create(
    {
      id: jobId,
      valveId,
      openedAt: new Date(now),
      ...columnsOf(recorded.state),
      // A unit rebuilt by itself does not keep its valve from being worked on.
      openValveId: body.only === undefined ? valveId : null,
    },
    { transaction },
  );
  await appendLog(jobId, recorded.entries, transaction);
  await ReceiptRow.create(
    { commandId, jobId, firstSeq: 1, lastSeq: recorded.state.version },
    { transaction },
  );
  return recorded.state;
}

const END_OF_TIME = '9999-12-31';

/** What lists show and are ordered by, computed from the folded state. */
export function columnsOf(state: JobState) {
  const current = must(plan(state));
  const valve = valveOf(state);
  const summary = summarise(state, current);
  if (!current || !valve || !summary) throw new Error('a job without an opening has no summary');
  const due = state.records['job-opened'][0]?.body.due ?? null;
  const open = summary.state === 'open';
  return {
    version: state.version,
    state: summary.state,
    personId: summary.withPerson?.id ?? null,
    tag: valve.tag,
    serial: valve.serial ?? null,
    location: `${valve.customer}, ${valve.location}`,
    due,
    dueKey: due ?? END_OF_TIME,
    summary: JSON.stringify(summary),
    ...(open ? {} : { openValveId: null }),
  };
}
