import type { QueryInterface } from 'sequelize';
import { addColumnOnce } from './once';

/** How the driver of an instrument is set; nothing where it is as usual. */
export const up = (queries: QueryInterface): Promise<void> =>
  addColumnOnce(queries, 'instruments', 'settings', 'TEXT NULL');
