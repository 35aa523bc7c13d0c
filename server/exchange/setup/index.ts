import type { SetupFileKind } from '@dusk-wren/contract';
import type { Sequelize } from 'sequelize';
import { absencesFile, holidaysFile } from './hours';
import { instrumentsFile } from './instruments';
import { peopleFile } from './people';
import { placesFile } from './places';
import type { SetupFile } from './setup-file';
import { sheetsFile } from './sheets';
import { sitesFile } from './sites';
import { valvesFile } from './valves';

/** The files that a shop is set up by, and written out as. */
export const setupFiles = (
  sequelize: Sequelize,
  now: () => Date,
): Readonly<Record<SetupFileKind, SetupFile>> => ({
  people: peopleFile(sequelize, now),
  holidays: holidaysFile(now),
  absences: absencesFile(now),
  instruments: instrumentsFile(now),
  places: placesFile(),
  sites: sitesFile(),
  sheets: sheetsFile(),
  valves: valvesFile(),
});
