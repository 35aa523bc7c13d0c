import type { LeakSource } from '../job';
import type { Room } from '../valve';

/** The rooms that are opened again for it, and no others; nothing where it is put right from outside. */
const OPENS: Partial<Record<LeakSource, Room>> = {
  'stem seals': 'stem',
  'backseat shoulder': 'stem',
  joint: 'joint',
};

/** What the leaks that were traced on one test open again: a joint is tightened once more before it is opened. */
export function reopenedBy(traced: readonly LeakSource[]): Room | undefined {
  const last = traced.at(-1);
  if (last === undefined) return undefined;
  const isFirst = traced.indexOf(last) === traced.length - 1;
  return last === 'joint' && isFirst ? undefined : OPENS[last];
}
