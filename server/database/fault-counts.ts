import { CAUSE_IDS, SYMPTOM_IDS, type CauseId, type Counts, type SymptomId } from '@dusk-wren/core/diagnosis';
import type { Transaction } from 'sequelize';
import { z } from 'zod';
import type { Change } from './change';
import { FaultCountRow } from './models';

const counted = z.array(
  z.object({ symptom: z.enum(SYMPTOM_IDS), cause: z.enum(CAUSE_IDS), count: z.number() }),
);

/** How often each cause was placed on this shop's closed jobs. */
export async function listFaultCounts(): Promise<{ symptom: SymptomId; cause: CauseId; count: number }[]> {
  return counted.parse(await FaultCountRow.findAll({ raw: true }));
}

/** The same by symptom, as the fault finder asks for it. */
export async function countsBySymptom(transaction: Transaction): Promise<(symptom: SymptomId) => Counts> {
  const rows = counted.parse(await FaultCountRow.findAll({ raw: true, transaction }));
  return (symptom) =>
    Object.fromEntries(
      rows.filter((row) => row.symptom === symptom).map(({ cause, count }) => [cause, count]),
    );
}

/** A job that is signed teaches the fault finder what its fault was. */
export async function countFault({ before, after, transaction }: Change): Promise<void> {
  const signedNow = after.records['certificate-signed'].length > before.records['certificate-signed'].length;
  const placed = after.records['fault-placed'].at(-1)?.body;
  if (!signedNow || !placed) return;
  const { symptom, cause } = placed;
  const [row] = await FaultCountRow.findOrCreate({
    where: { symptom, cause },
    defaults: { symptom, cause, count: 0 },
    transaction,
  });
  await row.increment('count', { by: 1, transaction });
}
