import type { QueryInterface } from 'sequelize';
import { addColumnOnce } from './once';

/** When what was known of somebody who had left was erased. */
export const up = (queries: QueryInterface): Promise<void> =>
  addColumnOnce(queries, 'people', 'erased_at', 'DATETIME(3) NULL');
