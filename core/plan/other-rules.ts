import type { SiteRules } from '../inspection';
import type { Entry } from '../job';
import type { Result } from '../problem';
import { compared, type Compared } from './compared';

/** What a job would be had it been opened under other rules. The job itself keeps those that it was opened under. */
export function underOtherRules(log: readonly Entry[], rules: SiteRules): Result<Compared> {
  return compared(
    log,
    log.map((entry) =>
      entry.kind === 'job-opened' ? { ...entry, body: { ...entry.body, site: rules } } : entry,
    ),
  );
}
