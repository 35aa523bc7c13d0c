import { z } from 'zod';
import type { Phrase } from '../quantity';
import { commandId } from './ids';
import { personStamp } from './people';

/** What every entry of the log carries, stamped at the edge. */
const envelope = z.strictObject({
  seq: z.int().positive(),
  format: z.int().positive(),
  commandId,
  by: personStamp,
  at: z.iso.datetime({ offset: true }).max(40),
  /** When it reached the server, where `at` was told by the device it was done on. */
  receivedAt: z.iso.datetime({ offset: true }).max(40).exactOptional(),
});

/** A named step from one stored format to the next, run on a copy before the body is parsed. */
export interface Upgrade {
  readonly name: string;
  readonly up: (body: unknown) => unknown;
}

interface Definition<K extends string, B extends z.ZodObject> {
  kind: K;
  /** Whoever writes it has not worked on the valve by that. */
  notWork?: true;
  body: B;
  /** One line for the log. */
  describe: (body: z.output<B>) => Phrase;
  /** From format 1 on, in order; the current format is one more than there are upgrades. */
  upgrades?: readonly Upgrade[];
}

/** One kind of event: its schema, its formats and its line in the log. */
export function defineEvent<const K extends string, B extends z.ZodObject>(definition: Definition<K, B>) {
  const { kind, body, describe, upgrades = [], notWork = false } = definition;
  return {
    kind,
    isWork: !notWork,
    body,
    describe,
    upgrades,
    format: upgrades.length + 1,
    entry: envelope.extend({ kind: z.literal(kind), body }),
  };
}
