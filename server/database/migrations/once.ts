import type { QueryInterface } from 'sequelize';

/**
 * Changes of tables that may be made again: MariaDB's are not undone when a migration is cut off, so that each looks first
 * whether it was made. `createTable` of Sequelize looks by itself, `dropTable` too.
 */

const name = (word: string): string => `\`${word.replaceAll('`', '')}\``;

export async function addIndexOnce(
  queries: QueryInterface,
  table: string,
  columns: readonly string[],
  index: string,
  { unique = false } = {},
): Promise<void> {
  await queries.sequelize.query(
    `CREATE ${unique ? 'UNIQUE ' : ''}INDEX IF NOT EXISTS ${name(index)} ON ${name(table)} (${columns.map(name).join(', ')})`,
  );
}

/** `type` as SQL says it. */
export async function addColumnOnce(
  queries: QueryInterface,
  table: string,
  column: string,
  type: string,
): Promise<void> {
  await queries.sequelize.query(
    `ALTER TABLE ${name(table)} ADD COLUMN IF NOT EXISTS ${name(column)} ${type}`,
  );
}
