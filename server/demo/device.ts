import type { DriverSettings } from '@dusk-wren/contract';
import type { InstrumentKind } from '@dusk-wren/core/job';
import { randomUUID } from 'node:crypto';
import { InstrumentRow } from '../database/models';
import { MAP } from '../stand-ins/bench-device';

type Rows = Readonly<
  Record<string, { table: string; register: number; type: string; unit?: string; scale?: number }>
>;

/** A register map as a lead fills it in. */
export const filledIn = (rows: Rows): DriverSettings =>
  Object.fromEntries(
    Object.entries(rows).flatMap(
      ([name, { table, register, type, unit, scale }]): [string, string | number][] => [
        [`${name}: table`, table],
        [`${name}: register`, register],
        [`${name}: type`, type],
        ...(unit === undefined ? [] : [[`${name}: unit`, unit] satisfies [string, string]]),
        ...(scale === undefined ? [] : [[`${name}: scale`, scale] satisfies [string, number]]),
      ],
    ),
  );

const { supplySet, ...gauges } = MAP.gauges;
/** What of Pinder Street is read over the network, off the stand-in for a bench. */
export const ON_THE_NETWORK: readonly {
  readonly name: string;
  readonly kind: InstrumentKind;
  readonly driver: string;
  readonly rows: Rows;
}[] = [
  { name: 'Gauge 5', kind: 'gauge', driver: 'Modbus gauge', rows: { pressure: MAP.gauge } },
  {
    ...{ name: 'Gauge set 2', kind: 'gauge set', driver: 'Modbus gauge set' },
    rows: { ...gauges, 'supply set to': supplySet },
  },
  { name: 'Rig yard', kind: 'test rig', driver: 'Modbus rig', rows: MAP.rig },
  {
    name: 'Thermometer 1',
    kind: 'thermometer',
    driver: 'Modbus thermometer',
    rows: { temperature: MAP.temperature },
  },
];

const DAY = 24 * 60 * 60 * 1000;
const DUE_IN_DAYS = 150;

/** Puts these on the register, or where the device is now: it takes another port where its own is in use. */
export async function seedDevice(port: number, now: number): Promise<void> {
  for (const { name, kind, driver, rows } of ON_THE_NETWORK) {
    const settings = JSON.stringify({ ...filledIn(rows), address: '127.0.0.1', port });
    const row = await InstrumentRow.findOne({ where: { name, driver } });
    if (row) await row.update({ settings });
    else
      await InstrumentRow.create({
        ...{ id: randomUUID(), name, kind, driver, settings },
        calibrationDue: new Date(now + DUE_IN_DAYS * DAY).toISOString().slice(0, 10),
      });
  }
}
