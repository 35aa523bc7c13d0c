import type { JobExport } from '@dusk-wren/contract';
import { wordProblem } from '@dusk-wren/contract/wording';
import { record, type Stamp } from '@dusk-wren/core/command';
import {
  commandId,
  fold,
  openingOf,
  readLog,
  type Entry,
  type JobId,
  type JobState,
  type PersonStamp,
} from '@dusk-wren/core/job';
import { must } from '@dusk-wren/core/problem';
import { plateKey, type Valve } from '@dusk-wren/core/valve';
import { randomUUID } from 'node:crypto';
import { UniqueConstraintError, type Sequelize, type Transaction } from 'sequelize';
import { Refusal } from '../refusal';
import { fileJob } from '../database/file-job';
import { JobRow, PersonRow } from '../database/models';
import { transacted } from '../database/transacted';
import { fileValve, findValve, findValveOf } from '../database/valves';
import type { Printer } from './printer';

interface Import {
  readonly exported: JobExport;
  /** SHA-256 of the file. */
  readonly file: string;
  readonly person: PersonStamp;
  readonly now: string;
  /** What comes with the log, written with it or not at all. */
  readonly along?: (transaction: Transaction) => Promise<void>;
}

const MOST_SHOWN = 100;
const EARLIEST = '2000-01-01';
const CLOCKS_DIFFER_BY = 5 * 60 * 1000;

/**
 * Brings an exported job in, as it was: all of it or nothing. Its people and readings are taken on trust and never said to
 * be more: the last entry says who brought it in, out of which file, and what of it would have been refused here.
 */
export async function importJob(
  sequelize: Sequelize,
  printer: Printer,
  { exported, file, person, now, along }: Import,
): Promise<JobId> {
  const log = readLog(exported.entries);
  if (!log.ok) throw new Refusal(log.problem);
  const state = fold(log.value);
  if (!state.ok) throw new Refusal(state.problem);
  const opened = openingOf(state.value);
  if (!opened || state.value.records['job-opened'].length !== 1) throw new Refusal({ code: 'job.not-open' });
  momentsCanBe(log.value, now);
  await peopleAreWhoTheyAre(log.value);
  const refused = await printer.replay(exported.entries);
  const body = {
    file,
    exportedAt: exported.exportedAt,
    refused: refused
      .slice(0, MOST_SHOWN)
      .map(({ seq, problem }) => ({ seq, why: wordProblem(problem).slice(0, 400) })),
    refusedInAll: refused.length,
  };
  const stamp: Stamp = { commandId: commandId.parse(randomUUID()), by: person, at: now };
  const { entries, state: after } = must(record(state.value, [{ kind: 'job-imported', body }], stamp));
  try {
    await transacted(sequelize, async (transaction) => {
      await write(exported, [...log.value, ...entries], after, transaction);
      await along?.(transaction);
    });
  } catch (error) {
    // Its valve has an open job, or somebody brought the same in at the same moment.
    if (error instanceof UniqueConstraintError)
      throw new Refusal({ code: 'valve.job-open', tag: exported.valve.tag });
    throw error;
  }
  return exported.job.id;
}

async function write(
  { job, valve }: JobExport,
  log: readonly Entry[],
  state: JobState,
  transaction: Transaction,
): Promise<void> {
  if (await JobRow.findByPk(job.id, { transaction }))
    throw new Refusal({ code: 'import.exists', tag: valve.tag });
  const valveId = await valveOnFile(job.valveId, valve, transaction);
  await fileJob({ id: job.id, valveId, log, state }, transaction);
}

/** The valve of the file: the same one on file here, or filed now. One that is another here is refused. */
async function valveOnFile(id: string, valve: Valve, transaction: Transaction): Promise<string> {
  const other = new Refusal({ code: 'import.valve', tag: valve.tag });
  const known = await findValve(id, transaction);
  if (known) {
    if (!isSame(known.valve, valve)) throw other;
    return known.id;
  }
  const sameTag = await findValveOf(valve.customer, valve.tag, transaction);
  if (!sameTag) return (await fileValve(valve, transaction, { id })).id;
  if (!isSame(sameTag.valve, valve)) throw other;
  return sameTag.id;
}

const isSame = (a: Valve, b: Valve): boolean =>
  a.customer === b.customer &&
  plateKey(a.tag) === plateKey(b.tag) &&
  plateKey(a.serial ?? '') === plateKey(b.serial ?? '') &&
  a.construction === b.construction;

/** Nobody worked before there was a shop, after now, or backwards, but for what clocks differ by. */
function momentsCanBe(log: readonly Entry[], now: string): void {
  let last = Date.parse(EARLIEST);
  for (const { seq, at } of log) {
    const then = Date.parse(at);
    if (!(then >= last - CLOCKS_DIFFER_BY) || then > Date.parse(now) + CLOCKS_DIFFER_BY)
      throw new Refusal({ code: 'import.moment', seq, at });
    last = then;
  }
}

/** A person known here is that person in the file too: no log makes a technician an inspector. */
async function peopleAreWhoTheyAre(log: readonly Entry[]): Promise<void> {
  const named = new Map(log.map(({ by }) => [by.id, by]));
  const rows = await PersonRow.findAll({ where: { id: [...named.keys()] } });
  for (const { id, name, role } of rows) {
    const inFile = [...named.values()].find((by) => by.id === id);
    if (inFile && (inFile.name !== name || inFile.role !== role))
      throw new Refusal({
        code: 'import.person',
        name: `${inFile.name}, ${inFile.role}`,
        here: `${name}, ${role}`,
      });
  }
}
