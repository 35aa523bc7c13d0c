import { readlinkSync } from 'node:fs';
import { constants, setPriority } from 'node:os';

/**
 * Gives the thread that calls it a low priority, where the system tells threads apart (Linux): a plan has time, and who enters
 * something beside it has none.
 */
export function yieldToWork(): void {
  try {
    const thread = /task\/(\d+)$/.exec(readlinkSync('/proc/thread-self'))?.[1];
    if (thread !== undefined) setPriority(Number(thread), constants.priority.PRIORITY_LOW);
  } catch {
    // Elsewhere it shares the time evenly.
  }
}
