import { createConnection } from 'mariadb';
import { randomUUID } from 'node:crypto';

const admin = (): string => process.env['TEST_DATABASE_URL'] ?? '';

/** Databases of a test's own with nothing in them, until they are dropped. */
export class EmptyDatabases {
  private readonly made: string[] = [];

  /** The address of another one. */
  async make(): Promise<string> {
    const name = `dw_test_${randomUUID().replaceAll('-', '').slice(0, 12)}`;
    const connection = await createConnection(admin());
    await connection.query(`CREATE DATABASE ${name}`);
    await connection.end();
    this.made.push(name);
    return admin().replace(/\/[^/]*$/, `/${name}`);
  }

  async drop(): Promise<void> {
    const connection = await createConnection(admin());
    for (const name of this.made) await connection.query(`DROP DATABASE ${name}`);
    await connection.end();
  }
}
