/** A balancer before servers and nodes; see `balancer.mjs`. */
export interface Balancer {
  /** Where people reach the shop. */
  readonly url: string;
  /** For each server: the port it must listen on, and the one at which it finds its database. */
  readonly ways: readonly { readonly node: number; readonly server: number }[];
  readonly stop: () => Promise<void>;
}

export function balancer(wanted: {
  readonly nodes: readonly { readonly name: string; readonly port: number }[];
  readonly servers: number;
  /** Where people reach it; any free one otherwise. */
  readonly port?: number;
}): Promise<Balancer>;
