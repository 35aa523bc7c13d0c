import type { SiteEffects } from '@dusk-wren/contract';
import type { Entry } from '@dusk-wren/core/job';
import type { Compared } from '@dusk-wren/core/plan';
import { must, type Result } from '@dusk-wren/core/problem';
import { loadLog } from './job-log';
import type { JobRow } from './models';

const MOST_LOOKED_AT = 60;

/** Which of these jobs would stand otherwise, and how; none of them is changed. */
export async function effectsOn(
  rows: readonly JobRow[],
  otherwise: (log: readonly Entry[]) => Result<Compared>,
): Promise<SiteEffects> {
  const jobs: SiteEffects['jobs'] = [];
  const looked = rows.slice(0, MOST_LOOKED_AT);
  for (const { id, tag } of looked) {
    const { calls, more, fewer, undone, other } = must(otherwise(await loadLog(id, 0)));
    if (calls.length + more.length + fewer.length + undone.length + other.length === 0) continue;
    jobs.push({
      ...{ job: id, tag, calls: [...calls] },
      ...{ more: [...more], fewer: [...fewer], undone: [...undone], other: [...other] },
    });
  }
  return { jobs, looked: looked.length };
}
