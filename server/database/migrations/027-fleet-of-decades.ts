import type { QueryInterface } from 'sequelize';
import { addIndexOnce } from './once';

/** What kits are held against is counted in the order of an index: a shop of decades waited half a second for it. */
export async function up(queries: QueryInterface): Promise<void> {
  await addIndexOnce(queries, 'job_lives', ['construction', 'signed'], 'lives_by_construction');
  await addIndexOnce(queries, 'part_lives', ['construction', 'part', 'fitted_on'], 'part_lives_fitted');
}
