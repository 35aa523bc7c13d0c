import type { Standing, valveMoveRequest } from '@dusk-wren/contract';
import { plateKey, valveSchema, type Valve } from '@dusk-wren/core/valve';
import { UniqueConstraintError, type Transaction } from 'sequelize';
import type { z } from 'zod';
import { Refusal } from '../refusal';
import { JobRow, ValveRow } from './models';
import { ValveChangeRow } from './register-models';
import type { Moment } from './setup-changes';
import { standingOf } from './valve-register';
import { fileValve } from './valves';
import { transacted } from './transacted';
import { settleValve } from './valve-lives';
import { keepWords } from './valve-words';

/** What is to be of a valve, and why. */
interface Put {
  readonly valve: Valve;
  readonly standing: Standing;
  readonly why: string;
}

/** Puts a valve elsewhere, or otherwise: its next job begins with that; the one that it is in keeps what it was opened with. */
export async function moveValve(
  moment: Moment,
  id: string,
  { standing, why, ...asked }: z.output<typeof valveMoveRequest>,
): Promise<void> {
  try {
    await transacted(moment.sequelize, async (transaction) => {
      const row = await found(id, transaction);
      const valve = { ...valveSchema.parse(JSON.parse(row.body)), ...asked };
      await put(moment, row, { valve, standing: standing ?? standingOf(row), why }, transaction);
    });
  } catch (error) {
    if (!(error instanceof UniqueConstraintError)) throw error;
    throw new Refusal({ code: 'name.taken', name: asked.tag ?? 'valve' });
  }
}

/** One of them, within a change that may be of many. */
export const valvePut = async (
  moment: Moment,
  id: string,
  asked: Put,
  transaction: Transaction,
): Promise<void> => put(moment, await found(id, transaction), asked, transaction);

/** A valve that is filed before it was ever here, within a change that may be of many. */
export async function valveAdded(
  moment: Moment,
  { valve, standing }: Omit<Put, 'why'>,
  transaction: Transaction,
): Promise<void> {
  const { id } = await fileValve(valve, transaction);
  if (standing !== 'in place') await valvePut(moment, id, { valve, standing, why: 'filed so' }, transaction);
}

async function found(id: string, transaction: Transaction): Promise<ValveRow> {
  const row = await ValveRow.findByPk(id, { transaction, lock: transaction.LOCK.UPDATE });
  if (!row) throw new Refusal({ code: 'not-found', what: 'valve' });
  return row;
}

const STANDS = { 'in place': 'in place again', spare: 'a spare', scrapped: 'scrapped' } as const;

async function put(
  { by, now }: Moment,
  row: ValveRow,
  { valve: is, standing, why }: Put,
  transaction: Transaction,
): Promise<void> {
  const was = valveSchema.parse(JSON.parse(row.body));
  if (standing === 'scrapped') await refuseInWork(row, transaction);
  const moved = [
    ...(standing === standingOf(row) ? [] : [STANDS[standing]]),
    ...(is.tag === was.tag ? [] : [`${was.tag} is ${is.tag} now`]),
    ...(is.customer === was.customer ? [] : [`of ${is.customer}, was of ${was.customer}`]),
    ...(is.location === was.location ? [] : [`at ${is.location}, was at ${was.location}`]),
  ];
  const isSame = JSON.stringify(is) === JSON.stringify(was);
  if (moved.length === 0 && isSame) return;
  const what = moved.length === 0 ? 'its plate' : moved.join('; ');
  await row.update(
    {
      ...{ tag: is.tag, tagKey: plateKey(is.tag), customer: is.customer, standing },
      ...{ serial: is.serial ?? null, serialKey: is.serial === undefined ? null : plateKey(is.serial) },
      body: JSON.stringify(valveSchema.parse(is)),
    },
    { transaction },
  );
  await keepWords(row.id, is, standing, transaction);
  // Whether its seals age on a shelf follows from where it stands.
  if (moved.includes(STANDS[standing])) await settleValve(row.id, transaction);
  await ValveChangeRow.create(
    {
      ...{ valveId: row.id, at: now, person: JSON.stringify(by) },
      what: `${what}${why === '' ? '' : `: ${why}`}`.slice(0, 240),
    },
    { transaction },
  );
}

async function refuseInWork({ id, tag }: ValveRow, transaction: Transaction): Promise<void> {
  const open = await JobRow.findOne({ where: { openValveId: id }, transaction });
  if (open) throw new Refusal({ code: 'valve.job-open', tag });
}
