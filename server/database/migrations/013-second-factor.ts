import type { QueryInterface } from 'sequelize';
import { addColumnOnce } from './once';

/** The secret that a person's authenticator shares, and the step of the last code that opened anything. */
export async function up(queries: QueryInterface): Promise<void> {
  await addColumnOnce(queries, 'people', 'second_secret', 'VARCHAR(64) NULL');
  await addColumnOnce(queries, 'people', 'second_step', 'BIGINT NULL');
}
