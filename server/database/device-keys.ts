import { randomBytes } from 'node:crypto';
import { PersonRow } from './models';

const KEY_BYTES = 32;

/** What seals a person's things on every device that they sign in at, in base64; made at their first sign-in. */
export async function deviceKeyOf(personId: string): Promise<string | null> {
  const kept = await keptKey(personId);
  if (kept) return kept;
  const deviceKey = randomBytes(KEY_BYTES).toString('base64');
  // Of two screens that sign in at once one makes it, and both have that one.
  await PersonRow.update({ deviceKey }, { where: { id: personId, deviceKey: null } });
  return keptKey(personId);
}

async function keptKey(personId: string): Promise<string | null> {
  const row = await PersonRow.findByPk(personId, { attributes: ['deviceKey'] });
  return row?.deviceKey ?? null;
}
