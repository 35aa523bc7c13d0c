import { personStamp, type PersonStamp, type Role } from '@dusk-wren/core/job';
import { randomUUID } from 'node:crypto';
import type { Sequelize, Transaction } from 'sequelize';
import { PersonRow } from './models';
import { oneAtATime } from './transacted';

const stampOf = (row: PersonRow): PersonStamp =>
  personStamp.parse({ id: row.id, name: row.name, role: row.role });

/** Everybody who works here now. */
export async function listPeople(): Promise<PersonStamp[]> {
  return (await PersonRow.findAll({ where: { leftAt: null }, order: [['name', 'ASC']] })).map(stampOf);
}

export async function nobodyYet(): Promise<boolean> {
  return (await PersonRow.count()) === 0;
}

export async function findPerson(
  id: string,
  transaction: Transaction | null = null,
): Promise<PersonStamp | undefined> {
  const row = await PersonRow.findOne({ where: { id, leftAt: null }, transaction });
  return row ? stampOf(row) : undefined;
}

interface WithPin {
  readonly person: PersonStamp;
  readonly pinHash: string;
  /** The hash is of a code from a lead, good until then. */
  readonly codeUntil: Date | null;
}

/** The person with the hash of the PIN, for sign-in alone. */
export async function findPersonWithPin(id: string): Promise<WithPin | undefined> {
  const row = await PersonRow.findOne({ where: { id, leftAt: null } });
  return row ? { person: stampOf(row), pinHash: row.pinHash, codeUntil: row.codeUntil } : undefined;
}

/** A PIN of one's own, in place of the code or of the one before. */
export async function keepPin(id: string, pinHash: string): Promise<void> {
  await PersonRow.update({ pinHash, codeUntil: null }, { where: { id } });
}

interface NewPerson {
  readonly name: string;
  readonly role: Role;
  readonly pinHash: string;
}

export async function addPerson(person: NewPerson): Promise<PersonStamp> {
  return stampOf(await PersonRow.create({ id: randomUUID(), ...person }));
}

/** The first person of an empty shop; undefined when somebody was faster. */
export async function addFirstPerson(
  sequelize: Sequelize,
  person: NewPerson,
): Promise<PersonStamp | undefined> {
  return oneAtATime(sequelize, async (transaction) =>
    (await PersonRow.count({ transaction })) > 0
      ? undefined
      : stampOf(await PersonRow.create({ id: randomUUID(), ...person }, { transaction })),
  );
}
