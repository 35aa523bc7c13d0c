import { KeptJobs } from '../sync/kept-jobs';

/** What this device keeps: one store for every page. */
export const device = new KeptJobs();

/** What stood here for anybody to read before it was sealed. */
const OLDER = ['dusk-wren.kept-here', 'dusk-wren.last-list'];

/** At the start of the program: what nobody opened for long goes, and what was never sealed. */
export function tidyDevice(): void {
  for (const name of OLDER) globalThis.localStorage?.removeItem(name);
  void device.forgetOldJobs().catch(() => undefined);
}
