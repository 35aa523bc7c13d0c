import { valveAsLeft, valveOf } from '@dusk-wren/core/job';
import { valveSchema, type Features } from '@dusk-wren/core/valve';
import type { Change } from './change';
import { JobRow, ValveRow } from './models';

/** What a job can leave otherwise than it found it: the fail action, and a part of two faces that was turned. */
const LEFT = ['moved', 'seat'] as const satisfies readonly (keyof Features)[];

/** A valve carries on file what its last job made of it, once the certificate says so. */
export async function followValveAsLeft({ jobId, after, entries, transaction }: Change): Promise<void> {
  if (!entries.some(({ kind }) => kind === 'certificate-signed')) return;
  const [came, left] = [valveOf(after)?.features, valveAsLeft(after)?.features];
  if (!came || !left) return;
  const changed = LEFT.filter((axis) => JSON.stringify(came[axis]) !== JSON.stringify(left[axis]));
  if (changed.length === 0) return;
  const job = await JobRow.findByPk(jobId, { transaction });
  const row = job && (await ValveRow.findByPk(job.valveId, { transaction, lock: transaction.LOCK.UPDATE }));
  if (!row) return;
  const filed = valveSchema.parse(JSON.parse(row.body));
  const features = { ...filed.features, ...Object.fromEntries(changed.map((axis) => [axis, left[axis]])) };
  await row.update({ body: JSON.stringify({ ...filed, features }) }, { transaction });
}
