import type { PersonStamp } from '@dusk-wren/core/job';
import { asFigures, makersSheet, sheetKey, type MakersSheet } from '@dusk-wren/core/valve';
import type { InferCreationAttributes } from 'sequelize';
import type { SheetRow } from '../database/models';

const sheet = (revision: string, joint: string, gland: string): MakersSheet =>
  makersSheet.parse({
    ...{ model: 'G 80', revision },
    figures: asFigures([
      { key: 'jointTorque', value: joint, page: '14' },
      { key: 'glandTorque', value: gland, page: '15' },
      { key: 'stemTir', value: '5 thou', page: '9' },
    ]),
  });

/** A maker's sheet that was the shop's before its jobs were opened, and a revision that came since. */
export const BEFORE = sheet('2', '110 ft-lb', '22 ft-lb');
export const SINCE = sheet('3', '125 ft-lb', '22 ft-lb');

export const sheetRow = (
  typed: MakersSheet,
  by: PersonStamp,
  at: Date,
): Omit<InferCreationAttributes<SheetRow>, 'id'> => ({
  ...{ model: sheetKey(typed.model), body: JSON.stringify(typed), jobId: null, seq: null },
  ...{ person: JSON.stringify(by), at },
});
