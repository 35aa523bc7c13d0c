export interface DatabaseSecrets {
  readonly password: string;
  readonly root: string;
  readonly session: string;
}

/** A private MariaDB of a test's own; see `database.mjs`. */
export interface PrivateDatabase {
  /** The folder that its data lies in. */
  readonly home: string;
  readonly port: number;
  readonly secrets: DatabaseSecrets;
  readonly url: (database: string) => string;
  /** The process, for whoever stops it in its tracks. */
  readonly pid: () => number | undefined;
  readonly stop: (signal?: NodeJS.Signals) => Promise<void>;
}

/** Where data of that name lives. */
export function dataHome(name: string): string;

export function privateDatabase(wanted: {
  readonly name: string;
  readonly databases?: readonly string[];
  readonly mayCreate?: boolean;
  readonly options?: readonly string[];
  /** Where it was reached before; any free one otherwise. */
  readonly port?: number;
  /** The cluster that its data comes from, by its secrets. */
  readonly joins?: { readonly secrets: DatabaseSecrets };
  /** The line of its log by which it is up. */
  readonly isReady?: string;
}): Promise<PrivateDatabase>;
