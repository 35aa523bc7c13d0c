import { newInstrumentRequest, type DriverSettings } from '@dusk-wren/contract';
import type { z } from 'zod';
import { instrumentAdded, instrumentChanged, listSetupInstruments } from '../../database/setup-instruments';
import { readSettings, wrongOfDriver } from '../../instruments/settings';
import { setupFile, type SetupFile } from './setup-file';

type Line = z.output<typeof newInstrumentRequest> & { readonly retired?: boolean };

/** Settings as a cell says them, such as “a second = 10; address = 3”. */
const sayMembers = (settings: DriverSettings): string =>
  Object.entries(settings)
    .map(([name, value]) => `${name} = ${value}`)
    .join('; ');
const readMembers = (cell: string): Record<string, string> =>
  Object.fromEntries(
    cell
      .split(';')
      .filter((member) => member.trim() !== '')
      .map((member) => {
        const [name = '', value = ''] = member.split('=').map((word) => word.trim());
        return [name, value];
      }),
  );

const COLUMNS: Readonly<Record<string, string>> = {
  calibrationDue: 'calibration due',
  reach: 'reads',
  resolution: 'read to',
  driver: 'read by',
  settings: 'set to',
};

/** The register of instruments. */
export const instrumentsFile = (now: () => Date): SetupFile =>
  setupFile<Line>({
    heading: ['name', 'kind', 'calibration due'],
    may: ['serial', 'reads', 'read to', 'read by', 'set to'],
    here: async () =>
      (await listSetupInstruments(now())).map(
        ({ id, name, kind, calibrationDue, serial, reach, resolution, driver, settings, retired }) => ({
          id,
          is: { name, kind, calibrationDue, serial, reach, resolution, driver, settings, retired },
        }),
      ),
    nameOf: ({ name }) => name,
    cellsOf: ({ name, kind, calibrationDue, serial, reach, resolution, driver, settings }) => [
      ...[name, kind, calibrationDue],
      ...[serial, reach, resolution, driver, sayMembers(settings)],
    ],
    read: (cells, was) =>
      newInstrumentRequest.safeParse({
        name: cells['name'],
        kind: cells['kind']?.toLowerCase(),
        calibrationDue: cells['calibration due'],
        serial: cells['serial'] ?? was?.serial ?? '',
        reach: cells['reads'] ?? was?.reach ?? '',
        resolution: cells['read to'] ?? was?.resolution ?? '',
        driver: cells['read by'] ?? was?.driver ?? '',
        settings:
          cells['set to'] === undefined
            ? (was?.settings ?? {})
            : readSettings(cells['read by'] ?? was?.driver ?? '', readMembers(cells['set to'])),
      }),
    column: (path) => COLUMNS[path.split('.')[0] ?? ''] ?? path,
    refuses: (is, was) => [
      ...wrongOfDriver(is.driver, is.kind, is.settings).map(({ path, message }) =>
        path === 'driver' ? `read by: ${message}` : `set to: ${path.replace('settings.', '')}: ${message}`,
      ),
      ...(was?.retired ? [`${is.name} is out of use: it is taken back on its own card`] : []),
      ...(was && was.kind !== is.kind ? [`kind: it is a ${was.kind} here`] : []),
      ...(was && was.calibrationDue !== is.calibrationDue
        ? [
            `calibration due: ${was.calibrationDue} here; another day comes with a calibration, on its own card`,
          ]
        : []),
    ],
    writer: (moment, changes) => async (transaction) => {
      for (const { was, is } of changes) {
        const { serial, reach, resolution, driver, settings } = is;
        if (was)
          await instrumentChanged(
            moment,
            was.id,
            { serial, reach, resolution, driver, settings },
            transaction,
          );
        else await instrumentAdded(moment, is, transaction);
      }
      return [];
    },
  });
