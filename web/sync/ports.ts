import type { Command, Edge } from '@dusk-wren/core/command';
import type { CommandId, Entry, PersonStamp } from '@dusk-wren/core/job';
import type { Delay, View } from './view';

export type PostAnswer =
  | { kind: 'taken'; entries: readonly Entry[] }
  | { kind: 'stale'; missed: readonly Entry[] }
  | { kind: 'refused'; text: string }
  | { kind: 'later'; delay: Delay };

/** A command on its way, as it is kept; read again by the core when it comes back from the device. */
export interface Waiting {
  readonly commandId: CommandId;
  readonly command: unknown;
  /** Whose it is: it is decided and sent under this name, or not at all. */
  readonly person: PersonStamp;
  /** When it was done, by this device's clock. */
  readonly at: string;
  /** For a signature: that the PIN was asked again. */
  readonly confirmation?: string;
}

/** A signature by somebody at another's screen: who they are, and that their PIN was asked. */
export interface Countersigned {
  readonly commandId: CommandId;
  readonly confirmation: string;
  readonly signer: PersonStamp;
}

/** The same, read. */
export interface Sent extends Waiting {
  readonly command: Command;
  /** Who signs, where that is not whose screen it is. */
  readonly signer?: PersonStamp;
}

/** What the sync needs of its host; tests give their own. */
export interface Ports {
  readonly post: (baseVersion: number, sent: Sent) => Promise<PostAnswer>;
  readonly fetchAfter: (version: number) => Promise<readonly Entry[]>;
  readonly newId: () => CommandId;
  readonly now: () => string;
  /** What this screen knows beside the log. */
  readonly edge: Omit<Edge, 'person' | 'now'>;
  /** Why an answer could not be taken in, and whether it is worth trying again. */
  readonly delayOf: (error: unknown) => Delay;
  /** Who is signed in at this screen now. */
  readonly person: () => PersonStamp | undefined;
  /** Waits so long, or until there is a reason to try at once. */
  readonly wait: (milliseconds: number) => Promise<void>;
  readonly changed: (view: View) => void;
  /** Keeps what is on its way where it outlives the tab; settled once the command is kept. */
  readonly keep: (pending: Waiting) => Promise<void>;
  /** It was answered: taken, or refused and said so. */
  readonly forget: (commandId: CommandId) => Promise<void>;
}
