import { valveOf, type Entry, type JobId, type JobState } from '@dusk-wren/core/job';
import { plan } from '@dusk-wren/core/plan';
import { renewedParts } from '@dusk-wren/core/certificate';
import { partsOf, type PartRole, type Valve } from '@dusk-wren/core/valve';
import type { Transaction } from 'sequelize';
import { binsFor } from './bins';
import type { Change } from './change';
import { DrawnPartRow } from './life-models';
import { StockRow } from './models';

/** New parts that have gone on, by the plan as it stands. */
function fittedNew(state: JobState): ReadonlySet<PartRole> {
  const planned = plan(state);
  return new Set(planned.ok && planned.value ? renewedParts(planned.value) : []);
}

/** A new part that goes on is drawn from its bin; when its step is struck it lies there again. */
export async function followDrawn({ jobId, before, after, entries, transaction }: Change): Promise<void> {
  const valve = valveOf(after);
  if (!valve) return;
  const [had, has] = [fittedNew(before), fittedNew(after)];
  const [on, off] = [[...has].filter((part) => !had.has(part)), [...had].filter((part) => !has.has(part))];
  for (const { row, part, wanted } of await binsFor(valve, outOfBins(after, valve, on), transaction)) {
    if (row.onHand === 0) continue;
    const count = Math.min(row.onHand, wanted);
    await keep(row, { jobId, part, count, day: dayOf(entries) }, transaction);
    await row.decrement('onHand', { by: count, transaction });
  }
  if (off.length > 0) await putBack(jobId, off, transaction);
}

/** What is new at every overhaul came out of the kit, where one was counted on the job. */
function outOfBins({ records }: JobState, valve: Valve, parts: readonly PartRole[]): readonly PartRole[] {
  if (records['kit-checked'].length === 0) return parts;
  const inKits = new Set(
    partsOf(valve).flatMap(({ role, policy }) => (policy === 'renew always' ? [role] : [])),
  );
  return parts.filter((part) => !inKits.has(part));
}

const dayOf = (entries: readonly Entry[]): string => (entries.at(-1)?.at ?? '').slice(0, 10);

const keep = (
  { number, price }: StockRow,
  { day, ...drawn }: { jobId: JobId; part: PartRole; count: number; day: string },
  transaction: Transaction,
) => DrawnPartRow.upsert({ ...drawn, number, price, onDay: day }, { transaction });

/** What a job that is over took at its time: the bins are counted as they are now. */
export async function drawnThen(
  jobId: JobId,
  state: JobState,
  entries: readonly Entry[],
  transaction: Transaction,
): Promise<void> {
  const valve = valveOf(state);
  if (!valve) return;
  for (const { row, part, wanted } of await binsFor(valve, [...fittedNew(state)], transaction))
    await keep(row, { jobId, part, count: wanted, day: dayOf(entries) }, transaction);
}

async function putBack(jobId: JobId, parts: readonly PartRole[], transaction: Transaction): Promise<void> {
  const drawn = await DrawnPartRow.findAll({ where: { jobId, part: [...parts] }, transaction });
  for (const { number, count } of drawn)
    await StockRow.increment('onHand', { by: count, where: { number }, transaction });
  await DrawnPartRow.destroy({ where: { jobId, part: [...parts] }, transaction });
}

/** What the parts of a job cost, in the shop's own currency. */
export async function costOf(jobId: JobId, transaction: Transaction | null): Promise<number> {
  const drawn = await DrawnPartRow.findAll({ where: { jobId }, transaction });
  return drawn.reduce((sum, { count, price }) => sum + count * Number(price), 0);
}
