import { shelfUnit, type ShelfUnit } from '@dusk-wren/contract/stock';
import { valveOf, type Entry, type JobId, type JobState } from '@dusk-wren/core/job';
import { valveKey, type ShelfUnitKind } from '@dusk-wren/core/valve';
import { randomUUID } from 'node:crypto';
import type { Transaction } from 'sequelize';
import { Refusal } from '../refusal';
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

/**
 * Follows what a job's new entries did to the shelf, in the same transaction: a unit taken leaves it once, the old one
 * waits to be rebuilt; struck again, the unit stands there as before.
 */
export async function followShelf(
  jobId: JobId,
  before: JobState,
  after: JobState,
  entries: readonly Entry[],
  transaction: Transaction,
): Promise<void> {
  const valve = valveOf(after);
  if (!valve) return;
  for (const entry of entries) {
    if (entry.kind === 'unit-taken') {
      const { unit, kind, serial } = entry.body;
      const [taken] = await UnitRow.update(
        { state: 'taken', jobId, tag: valve.tag },
        { where: { id: unit, kind, serial, state: 'on the shelf', valveKey: valveKey(valve) }, transaction },
      );
      if (taken !== 1) throw new Refusal({ code: 'unit.not-on-shelf', unit: kind, serial });
      await UnitRow.create(
        {
          id: randomUUID(),
          kind,
          serial: `old of ${valve.tag}, entry ${entry.seq}`,
          valveKey: valveKey(valve),
          state: 'to rebuild',
          builtOn: null,
          jobId,
          tag: valve.tag,
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
        where: { jobId, state: 'to rebuild', serial: `old of ${valve.tag}, entry ${struck.seq}` },
        transaction,
      });
    }
  }
}
