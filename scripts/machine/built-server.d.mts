/** The built server as a process of its own; see `built-server.mjs`. */
export interface BuiltServer {
  readonly url: string;
  /** The first group of what it has printed so far, or nothing. */
  readonly said: (what: RegExp) => string;
  readonly stop: (signal?: NodeJS.Signals) => Promise<void>;
}

export function builtServer(env: NodeJS.ProcessEnv): Promise<BuiltServer>;
