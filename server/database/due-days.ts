import { siteOf } from '@dusk-wren/core/calls';
import { valveOf, type JobState } from '@dusk-wren/core/job';
import {
  carriedFrom,
  carry,
  duesCarried,
  intervalOf,
  shelfDue,
  soonest,
  type Due,
  type LivedJob,
} from '@dusk-wren/core/life';
import { kitSheetSchema } from '@dusk-wren/core/stock';
import type { Transaction } from 'sequelize';
import { JobRow, KitRow, type ValveRow } from './models';
import { RecallRow } from './setup-models';
import { stateOf } from './state-of';

/** What says when a valve is due: its last certificate, with the reason that it was proposed by, and all that it carries. */
export async function duesNow(
  { standing }: ValveRow,
  lives: readonly LivedJob[],
  transaction: Transaction,
): Promise<Due[]> {
  const last = lives.at(-1);
  // Condemned it is due for nothing any more.
  if (!last || last.lived.condemned) return [];
  const before = carriedFrom(lives.slice(0, -1));
  const job = await JobRow.findByPk(last.job, { transaction, attributes: ['version'] });
  const state = job ? await stateOf(last.job, job.version, transaction) : undefined;
  const valve = state && valveOf(state);
  const proposed = state && valve && intervalOf(before, last.lived, valve, siteOf(state));
  const signed: Due =
    proposed?.at === last.lived.nextDue
      ? proposed
      : { at: last.lived.nextDue, kind: 'certificate', words: 'as its certificate was signed' };
  return soonest([
    signed,
    ...duesCarried(carry(before, last.job, last.lived), last.lived.signed),
    ...(await calledBack(lives, transaction)),
    ...(standing === 'spare' && state ? await agesOnShelf(state, transaction) : []),
  ]);
}

/** A spare lies as long as the seals of its last kit are in date. */
async function agesOnShelf({ records }: JobState, transaction: Transaction): Promise<Due[]> {
  const counted = records['kit-checked'].at(-1)?.body;
  const kit = counted && (await KitRow.findByPk(counted.sheet, { transaction }));
  if (!kit) return [];
  const due = shelfDue(counted, kitSheetSchema.parse(JSON.parse(kit.body)).lines);
  return due ? [due] : [];
}

/** An instrument that a job was read with was found off, and nobody has said yet what was done about it. */
async function calledBack(lives: readonly LivedJob[], transaction: Transaction): Promise<Due[]> {
  const rows = await RecallRow.findAll({
    where: { jobId: lives.map(({ job }) => job), closedAt: null },
    transaction,
  });
  return rows.map(({ openedAt }) => ({
    ...{ at: openedAt.toISOString().slice(0, 10), kind: 'recall' as const },
    words: 'called back: an instrument that it was read with was found off',
  }));
}
