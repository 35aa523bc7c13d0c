import { driverSettings, type DriverSettings, type InstrumentView } from '@dusk-wren/contract';
import type { Command, Edge } from '@dusk-wren/core/command';
import { instrumentId, instrumentStamp, type InstrumentStamp } from '@dusk-wren/core/job';
import type { Transaction } from 'sequelize';
import { doesByItself, isSimulated } from '../instruments/registry';
import { linesOf } from '../instruments/settings';
import { InstrumentRow } from './models';
import { shopDay } from './shop-day';

/** The instrument as it stands on a day: overdue on the day after its calibration is due. */
function stampOn(row: InstrumentRow, today: string): InstrumentStamp {
  return instrumentStamp.parse({
    id: row.id,
    name: row.name,
    kind: row.kind,
    simulated: isSimulated(row.driver, setOn(row)),
    calibrationDue: row.calibrationDue,
    inCalibration: row.calibrationDue >= today,
  });
}

export async function listInstruments(now: string): Promise<InstrumentView[]> {
  const today = await shopDay(now);
  return (await InstrumentRow.findAll({ where: { retiredAt: null }, order: [['name', 'ASC']] })).map(
    (row) => ({
      ...stampOn(row, today),
      byItself: doesByItself(row.driver),
      ...linesSetOn(row),
    }),
  );
}

export async function findInstrument(
  id: string,
  now: string,
): Promise<{ stamp: InstrumentStamp; driver: string; settings: DriverSettings } | undefined> {
  const row = await InstrumentRow.findOne({ where: { id, retiredAt: null } });
  if (!row) return undefined;
  return { stamp: stampOn(row, await shopDay(now)), driver: row.driver, settings: setOn(row) };
}

function linesSetOn(row: InstrumentRow): Pick<InstrumentView, 'lines'> {
  const lines = linesOf(row.driver, setOn(row));
  return lines ? { lines } : {};
}

/** How its driver is set, where it is not as usual. */
export const setOn = ({ settings }: InstrumentRow): DriverSettings =>
  driverSettings.parse(JSON.parse(settings ?? '{}'));

/** The stamp of the instrument that a command names, looked up before the core decides. */
export async function stampsFor(
  command: Command,
  now: string,
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
  const stamp = row ? stampOn(row, await shopDay(now, transaction)) : undefined;
  return (id) => (id === named ? stamp : undefined);
}
