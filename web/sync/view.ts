import type { CommandId, Entry, JobState } from '@dusk-wren/core/job';
import type { Phrase } from '@dusk-wren/core/quantity';

/** Why a command has not been decided on the server yet: it is kept, and goes again under its own id. */
export type Delay =
  | { readonly kind: 'no connection' }
  /** Whose it is, is not signed in here. */
  | { readonly kind: 'sign-in' }
  /** It answered, but not to this: busy, its database away, or something between that is no server of ours. */
  | { readonly kind: 'server'; readonly text: string }
  /** This page and the server do not understand each other, or the page is wrong: trying again would not help. */
  | { readonly kind: 'fault'; readonly text: string };

/** A command that was refused after it had been entered. */
export interface Lapsed {
  readonly command: unknown;
  /** What was entered, in the words of the log. */
  readonly what: Phrase;
  /** Why it was not stored. */
  readonly text: string;
}

/** The job as a screen shows it: never changed, but followed by another. */
export interface View {
  /** With what is on its way. */
  readonly state: JobState;
  /** The confirmed log and, after it, what is on its way. */
  readonly entries: readonly Entry[];
  readonly confirmed: readonly Entry[];
  /** What is on its way, in the words of the log, oldest first. */
  readonly waiting: readonly { readonly commandId: CommandId; readonly what: Phrase }[];
  readonly lapsed: readonly Lapsed[];
  /** Why what is pending waits here, while it does. */
  readonly delay: Delay | undefined;
  /** This browser could not keep what waits: it is lost with the page. */
  readonly unkept: boolean;
}
