import { setTimeout as wait } from 'node:timers/promises';

/** Waits, or answers false as soon as nobody listens any more. */
export async function pause(milliseconds: number, stop: AbortSignal): Promise<boolean> {
  if (stop.aborted) return false;
  try {
    await wait(milliseconds, undefined, { signal: stop });
    return true;
  } catch {
    return false;
  }
}
