import { valveAsLeft, valveWorkedOn } from '@dusk-wren/core/job';
import { reversible, valveSchema } from '@dusk-wren/core/valve';
import type { Change } from './change';
import { JobRow, ValveRow } from './models';

/** A valve whose fail action was reversed carries the new one on file once the certificate says so. */
export async function followReversal({ jobId, after, entries, transaction }: Change): Promise<void> {
  if (!entries.some(({ kind }) => kind === 'certificate-signed')) return;
  const worked = valveWorkedOn(after);
  const left = valveAsLeft(after);
  if (!worked || !left || !reversible(worked.features)?.reversing) return;
  const job = await JobRow.findByPk(jobId, { transaction });
  const row = job && (await ValveRow.findByPk(job.valveId, { transaction, lock: transaction.LOCK.UPDATE }));
  if (!row) return;
  const filed = valveSchema.parse(JSON.parse(row.body));
  await row.update(
    { body: JSON.stringify({ ...filed, features: { ...filed.features, moved: left.features.moved } }) },
    { transaction },
  );
}
