/** A private MariaDB of a test's own; see `database.mjs`. */
export interface PrivateDatabase {
  /** The folder that its data lies in. */
  readonly home: string;
  readonly port: number;
  readonly url: (database: string) => string;
  readonly stop: (signal?: NodeJS.Signals) => Promise<void>;
}

/** Where data of that name lives. */
export function dataHome(name: string): string;

export function privateDatabase(wanted: {
  readonly name: string;
  readonly databases: readonly string[];
  readonly mayCreate?: boolean;
  readonly options?: readonly string[];
  /** Where it was reached before; any free one otherwise. */
  readonly port?: number;
}): Promise<PrivateDatabase>;
