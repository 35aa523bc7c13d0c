import { shelfUnit, type ShelfUnit } from '@dusk-wren/contract/stock';
import type { UnitInShop } from '@dusk-wren/core/command';
import { valveOf } from '@dusk-wren/core/job';
import { valveKey, type ShelfUnitKind } from '@dusk-wren/core/valve';
import { randomUUID } from 'node:crypto';
import type { Transaction } from 'sequelize';
import type { Change } from './change';
import { UnitRow } from './models';

const unitOf = (row: UnitRow): ShelfUnit =>
  shelfUnit.parse({
    id: row.id,
    kind: row.kind,
    serial: row.serial,
    key: row.valveKey,
    state: row.state,
    builtOn: row.builtOn,
    job: row.jobId !== null && row.tag !== null ? { id: row.jobId, tag: row.tag } : null,
  });

/** Units, those on the shelf first. */
export async function listUnits(): Promise<ShelfUnit[]> {
  const rows = await UnitRow.findAll({
    order: [
      ['state', 'ASC'],
      ['valveKey', 'ASC'],
      ['serial', 'ASC'],
    ],
    limit: 500,
  });
  return rows.map(unitOf);
}

export async function putUnit(
  unit: { kind: ShelfUnitKind; serial: string; key: string; builtOn: string },
  transaction: Transaction,
): Promise<string> {
  const id = randomUUID();
  const { kind, serial, key, builtOn } = unit;
  await UnitRow.create(
    { id, kind, serial, valveKey: key, state: 'on the shelf', builtOn, jobId: null, tag: null },
    { transaction },
  );
  return id;
}

/** A unit as it stands now, held until the transaction that may take it is over: it is given out once. */
export async function findUnitToTake(id: string, transaction: Transaction): Promise<UnitInShop | undefined> {
  const row = await UnitRow.findByPk(id, { transaction, lock: transaction.LOCK.UPDATE });
  if (!row) return undefined;
  const { kind, serial, key, state } = unitOf(row);
  return { kind, serial, key, onShelf: state === 'on the shelf' };
}

/** A unit taken leaves the shelf and the old one waits to be rebuilt; struck again, the unit stands there as before. */
export async function followShelf({ jobId, before, after, entries, transaction }: Change): Promise<void> {
  const valve = valveOf(after);
  if (!valve) return;
  const old = (seq: number) => `old of ${valve.tag}, entry ${seq}`;
  for (const entry of entries) {
    if (entry.kind === 'unit-taken') {
      const { unit, kind } = entry.body;
      const whose = { jobId, tag: valve.tag };
      await UnitRow.update({ state: 'taken', ...whose }, { where: { id: unit }, transaction });
      await UnitRow.create(
        {
          id: randomUUID(),
          kind,
          serial: old(entry.seq),
          valveKey: valveKey(valve),
          state: 'to rebuild',
          builtOn: null,
          ...whose,
        },
        { transaction },
      );
    }
    if (entry.kind === 'entry-struck') {
      const struck = before.records['unit-taken'].find(({ seq }) => seq === entry.body.entry);
      if (!struck) continue;
      await UnitRow.update(
        { state: 'on the shelf', jobId: null, tag: null },
        { where: { id: struck.body.unit }, transaction },
      );
      await UnitRow.destroy({
        where: { jobId, state: 'to rebuild', serial: old(struck.seq) },
        transaction,
      });
    }
  }
}
