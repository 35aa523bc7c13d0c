import { personStamp, type PersonStamp } from '@dusk-wren/core/job';
import { PersonRow } from './models';

const stampOf = (row: PersonRow): PersonStamp =>
  personStamp.parse({ id: row.id, name: row.name, role: row.role });

export async function listPeople(): Promise<PersonStamp[]> {
  return (await PersonRow.findAll({ order: [['name', 'ASC']] })).map(stampOf);
}

export async function findPerson(id: string): Promise<PersonStamp | undefined> {
  const row = await PersonRow.findByPk(id);
  return row ? stampOf(row) : undefined;
}

/** The person with the hash of the PIN, for sign-in alone. */
export async function findPersonWithPin(
  id: string,
): Promise<{ person: PersonStamp; pinHash: string } | undefined> {
  const row = await PersonRow.findByPk(id);
  return row ? { person: stampOf(row), pinHash: row.pinHash } : undefined;
}
