import type { JobExport } from '@dusk-wren/contract';
import { jobId as jobIdSchema, valveId as valveIdSchema } from '@dusk-wren/core/job';
import { loadLog } from '../database/job-log';
import type { JobRow } from '../database/models';
import { findValve } from '../database/valves';

/** A whole job as a file: see docs/formats.md. */
export async function exportJob(row: JobRow, now: string): Promise<JobExport> {
  const filed = await findValve(row.valveId);
  if (!filed) throw new Error(`job ${row.id} has no valve`);
  return {
    format: 'dusk-wren job',
    version: 1,
    exportedAt: now,
    job: { id: jobIdSchema.parse(row.id), valveId: valveIdSchema.parse(row.valveId) },
    valve: filed.valve,
    entries: await loadLog(row.id, 0),
  };
}
