import { newInstrumentRequest } from '@dusk-wren/contract';
import type { z } from 'zod';
import { instrumentAdded, instrumentChanged, listSetupInstruments } from '../../database/setup-instruments';
import { drivers } from '../../instruments/registry';
import { setupFile, type SetupFile } from './setup-file';

type Line = z.output<typeof newInstrumentRequest> & { readonly retired?: boolean };

/** The register of instruments. */
export const instrumentsFile = (now: () => Date): SetupFile =>
  setupFile<Line>({
    heading: ['name', 'kind', 'calibration due'],
    may: ['serial', 'reads', 'read to', 'read by'],
    here: async () =>
      (await listSetupInstruments(now())).map(
        ({ id, name, kind, calibrationDue, serial, reach, resolution, driver, retired }) => ({
          id,
          is: { name, kind, calibrationDue, serial, reach, resolution, driver, retired },
        }),
      ),
    nameOf: ({ name }) => name,
    cellsOf: ({ name, kind, calibrationDue, serial, reach, resolution, driver }) => [
      ...[name, kind, calibrationDue],
      ...[serial, reach, resolution, driver],
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
      }),
    column: (path) =>
      ({ calibrationDue: 'calibration due', reach: 'reads', resolution: 'read to', driver: 'read by' })[
        path
      ] ?? path,
    refuses: (is, was) => [
      ...(is.driver === '' || drivers().some(({ driver, kind }) => driver === is.driver && kind === is.kind)
        ? []
        : [`read by: nothing called “${is.driver}” reads a ${is.kind}`]),
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
        const { serial, reach, resolution, driver } = is;
        if (was) await instrumentChanged(moment, was.id, { serial, reach, resolution, driver }, transaction);
        else await instrumentAdded(moment, is, transaction);
      }
      return [];
    },
  });
