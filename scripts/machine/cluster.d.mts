import type { DatabaseSecrets } from './database.mjs';

/** A node of a private cluster; see `cluster.mjs`. */
export interface ClusterNode {
  readonly name: string;
  readonly port: number;
  readonly url: (database: string) => string;
  readonly pid: () => number | undefined;
  /** Once it has ended, however it did. */
  readonly ended: () => Promise<unknown> | undefined;
  /** Stops it in its tracks, and lets it go on. */
  readonly signal: (signal: 'SIGSTOP' | 'SIGCONT') => void;
  readonly kill: () => Promise<void>;
  /** Comes back, with what the others have meanwhile. */
  readonly start: () => Promise<void>;
}

export interface PrivateCluster {
  readonly secrets: DatabaseSecrets;
  readonly nodes: readonly ClusterNode[];
  readonly stop: () => Promise<void>;
}

export function privateCluster(wanted: {
  readonly name: string;
  readonly databases?: readonly string[];
  readonly mayCreate?: boolean;
  readonly size?: number;
  /** How many of them are begun; the others when they are told. */
  readonly atFirst?: number;
  /** Further options of a node as it is begun. */
  readonly more?: () => readonly string[];
}): Promise<PrivateCluster>;
