import { onStep, type Entry, type EntryOf, type JobState } from '../job';
import type { Placed } from './order';

/** A sign-off as it stands: what a signature on it covers, and the signatures that count. */
export interface Signing {
  readonly covers: readonly Entry[];
  readonly signed: readonly EntryOf<'isolation-signed'>[];
}

/**
 * A sign-off's signatures: one counts while all that it covers stands and is older than it. `covered` are the steps from
 * `coveredBy`, `finished` the entries that finished each step.
 */
export function signingOf(
  state: JobState,
  signOff: string,
  covered: readonly string[],
  finished: ReadonlyMap<string, Entry | undefined>,
): Signing {
  const covers = covered.flatMap((id) => finished.get(id) ?? []);
  if (covers.length < covered.length) return { covers, signed: [] };
  const latest = covers.reduce((last, { seq }) => Math.max(last, seq), 0);
  return {
    covers,
    signed: onStep(state, 'isolation-signed', signOff).filter(({ seq }) => seq > latest),
  };
}

/** The steps of the same stage that a sign-off waits for, directly or through others: what a signature covers. */
export function coveredBy(order: readonly Placed[], { draft, after }: Placed): string[] {
  const byId = new Map(order.map((placed) => [placed.id, placed]));
  const covered = new Set<string>();
  const open = [...after];
  for (let id = open.pop(); id !== undefined; id = open.pop()) {
    const placed = byId.get(id);
    if (!placed || placed.draft.stage !== draft.stage || covered.has(id)) continue;
    covered.add(id);
    open.push(...placed.after);
  }
  return [...covered];
}

/** The second signature, once both sides are signed. */
export const bothSides = ({ signed }: Signing): Entry | undefined =>
  new Set(signed.map(({ body }) => body.side)).size === 2 ? signed.at(-1) : undefined;
