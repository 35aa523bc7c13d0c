import { valveOf, type JobId, type JobState } from '@dusk-wren/core/job';
import { plan } from '@dusk-wren/core/plan';
import { renewedParts } from '@dusk-wren/core/certificate';
import { partsOf, valveKey, type PartRole } from '@dusk-wren/core/valve';
import { Op, type Transaction } from 'sequelize';
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
  if (on.length > 0) {
    const counts = new Map(partsOf(valve).map(({ role, quantity }) => [role, quantity]));
    const day = (entries.at(-1)?.at ?? '').slice(0, 10);
    const rows = await StockRow.findAll({
      where: { part: on, fits: { [Op.in]: beginnings(valveKey(valve)) } },
      order: [['number', 'ASC']],
      transaction,
      lock: transaction.LOCK.UPDATE,
    });
    for (const part of on) {
      const row = rows.find((each) => each.part === part && each.onHand > 0);
      if (row) await draw(row, { jobId, part, day, wanted: counts.get(part) ?? 1 }, transaction);
    }
  }
  if (off.length > 0) await putBack(jobId, off, transaction);
}

/** A key and all that it begins with: what a part that fits may be filed under. */
function beginnings(key: string): string[] {
  const words = key.split(' ');
  return words.map((_, i) => words.slice(0, i + 1).join(' '));
}

async function draw(
  row: StockRow,
  { jobId, part, day, wanted }: { jobId: JobId; part: PartRole; day: string; wanted: number },
  transaction: Transaction,
): Promise<void> {
  const count = Math.min(row.onHand, wanted);
  const drawn = { jobId, part, number: row.number, onDay: day, count, price: row.price };
  await DrawnPartRow.upsert(drawn, { transaction });
  await row.decrement('onHand', { by: count, transaction });
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
