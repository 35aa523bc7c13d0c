import type { QueryInterface } from 'sequelize';
import { addColumnOnce } from './once';

/** Who made a maker's sheet the shop's without a job, and when. */
export async function up(queries: QueryInterface): Promise<void> {
  await addColumnOnce(queries, 'shop_sheets', 'person', 'TEXT NULL');
  await addColumnOnce(queries, 'shop_sheets', 'at', 'DATETIME(3) NULL');
}
