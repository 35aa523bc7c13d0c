import type { Command, Edge } from '@dusk-wren/core/command';
import { instrumentId, instrumentStamp, type InstrumentStamp } from '@dusk-wren/core/job';
import type { Transaction } from 'sequelize';
import { isSimulated } from '../instruments/registry';
import { InstrumentRow } from './models';

/** The instrument as it stands on a day: overdue on the day after its calibration is due. */
function stampOn(row: InstrumentRow, today: string): InstrumentStamp {
  return instrumentStamp.parse({
    id: row.id,
    name: row.name,
    kind: row.kind,
    simulated: isSimulated(row.driver),
    calibrationDue: row.calibrationDue,
    inCalibration: row.calibrationDue >= today,
  });
}

export async function listInstruments(today: string): Promise<InstrumentStamp[]> {
  return (await InstrumentRow.findAll({ where: { retiredAt: null }, order: [['name', 'ASC']] })).map((row) =>
    stampOn(row, today),
  );
}

export async function findInstrument(
  id: string,
  today: string,
): Promise<{ stamp: InstrumentStamp; driver: string } | undefined> {
  const row = await InstrumentRow.findOne({ where: { id, retiredAt: null } });
  return row ? { stamp: stampOn(row, today), driver: row.driver } : undefined;
}

/** The stamp of the instrument that a command names, looked up before the core decides. */
export async function stampsFor(
  command: Command,
  today: string,
  transaction: Transaction,
): Promise<Edge['instrument']> {
  const named =
    'readBy' in command.body && command.body.readBy !== 'hand'
      ? instrumentId.parse(command.body.readBy)
      : undefined;
  const row =
    named === undefined
      ? null
      : await InstrumentRow.findOne({ where: { id: named, retiredAt: null }, transaction });
  const stamp = row ? stampOn(row, today) : undefined;
  return (id) => (id === named ? stamp : undefined);
}
