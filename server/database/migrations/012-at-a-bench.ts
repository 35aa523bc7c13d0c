import type { QueryInterface } from 'sequelize';
import { addColumnOnce, addIndexOnce } from './once';

/** What seals a person's things on a device, and the badge that they are known by at a shared screen (its hash). */
export async function up(queries: QueryInterface): Promise<void> {
  await addColumnOnce(queries, 'people', 'device_key', 'VARCHAR(44) NULL');
  await addColumnOnce(queries, 'people', 'badge', 'VARCHAR(64) NULL');
  await addIndexOnce(queries, 'people', ['badge'], 'people_by_badge', { unique: true });
}
