/** The built server as a process of its own; see `built-server.mjs`. */
export interface BuiltServer {
  readonly url: string;
  readonly pid: number | undefined;
  /** Once it has ended, however it did. */
  readonly ended: Promise<unknown>;
  /** The first group of what it has printed so far, or nothing. */
  readonly said: (what: RegExp) => string;
  readonly stop: (signal?: NodeJS.Signals) => Promise<void>;
}

export function builtServer(env: NodeJS.ProcessEnv, port?: number): Promise<BuiltServer>;
