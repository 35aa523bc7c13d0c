import type { SetupPerson } from '@dusk-wren/contract';
import { personStamp, type Role } from '@dusk-wren/core/job';
import { randomUUID } from 'node:crypto';
import { QueryTypes, type Sequelize, type Transaction } from 'sequelize';
import { z } from 'zod';
import { Refusal } from '../refusal';
import { codeUntil, madeUpCode } from '../sign-in/first-code';
import { hashPin } from '../sign-in/pin';
import { badgeHash, refuseTakenBadge } from './badges';
import { forgetDevicesOf } from './known-devices';
import { PersonRow } from './models';
import { noteChange, type Moment } from './setup-changes';
import { refuseTaken } from './setup-names';
import { oneAtATime } from './transacted';
import { FORGOTTEN } from './second-factors';
import { forgetTriesOf } from './sign-in-tries';

const sessionData = z.looseObject({ personId: z.string().optional() });

/** Sessions that are open, by the person they are of. */
async function sessionsByPerson(sequelize: Sequelize, now: Date): Promise<Map<string, string[]>> {
  const rows = await sequelize.query<{ sid: string; data: string }>(
    'SELECT sid, data FROM sessions WHERE expires > :now',
    { replacements: { now }, type: QueryTypes.SELECT },
  );
  const found = new Map<string, string[]>();
  for (const { sid, data } of rows) {
    const { personId } = sessionData.catch({}).parse(JSON.parse(data));
    if (personId !== undefined) found.set(personId, [...(found.get(personId) ?? []), sid]);
  }
  return found;
}

function viewOf(row: PersonRow, screens: number, now: Date): SetupPerson {
  const { id, name, role } = personStamp.parse({ id: row.id, name: row.name, role: row.role });
  const code = row.codeUntil && (row.codeUntil < now ? 'code over' : 'invited');
  return {
    id,
    name,
    role,
    skills: z.array(z.string()).parse(JSON.parse(row.skills)),
    standing: row.erasedAt ? 'erased' : row.leftAt ? 'left' : (code ?? 'here'),
    hasBadge: typeof row.badge === 'string',
    screens,
    leftAt: row.leftAt?.toISOString() ?? null,
  };
}

/** Everybody there ever was: those at work first. */
export async function listSetupPeople(sequelize: Sequelize, now: Date): Promise<SetupPerson[]> {
  const open = await sessionsByPerson(sequelize, now);
  const rows = await PersonRow.findAll({ order: [['name', 'ASC']] });
  return rows
    .map((row) => viewOf(row, open.get(row.id)?.length ?? 0, now))
    .sort((a, b) => Number(a.leftAt !== null) - Number(b.leftAt !== null));
}

interface Asked {
  readonly name: string;
  readonly role: Role;
  readonly skills: readonly string[];
}

interface WithCode {
  readonly person: SetupPerson;
  readonly code: string;
  readonly until: Date;
}

/** Somebody new, with the code of their first sign-in. */
export async function invitePerson(moment: Moment, asked: Asked): Promise<WithCode> {
  const first = await firstCode(moment.now);
  return oneAtATime(moment.sequelize, (transaction) => personInvited(moment, asked, first, transaction));
}

/** A code that was made up, hashed: which takes its time, and so is done before anything waits for it. */
export interface FirstCode {
  readonly code: string;
  readonly until: Date;
  readonly pinHash: string;
}
export async function firstCode(now: Date): Promise<FirstCode> {
  const code = madeUpCode();
  return { code, until: codeUntil(now), pinHash: await hashPin(code) };
}

/** One more, within a change that may be of many. */
export async function personInvited(
  { by, now }: Moment,
  asked: Asked,
  { code, until, pinHash }: FirstCode,
  transaction: Transaction,
): Promise<WithCode> {
  refuseTaken(asked.name, await PersonRow.findOne({ where: { name: asked.name }, transaction }));
  const { name, role, skills } = asked;
  const row = await PersonRow.create(
    { id: randomUUID(), name, role, pinHash, skills: JSON.stringify(skills), codeUntil: until },
    { transaction },
  );
  const what = `${name} added, as ${role}`;
  await noteChange({ by, at: now, subject: 'people', what, after: asked }, transaction);
  return { person: viewOf(row, 0, now), code, until };
}

/** Another code, where a PIN is forgotten: the one before opens nothing any more, and their screens are closed. */
export async function newCodeFor({ sequelize, by, now }: Moment, id: string): Promise<WithCode> {
  const { code, until, pinHash } = await firstCode(now);
  const person = await oneAtATime(sequelize, async (transaction) => {
    const row = await found(id, transaction);
    await row.update({ pinHash, codeUntil: until, ...FORGOTTEN }, { transaction });
    await noteChange({ by, at: now, subject: 'people', what: `another code for ${row.name}` }, transaction);
    return viewOf(row, 0, now);
  });
  await forgetDevicesOf(id);
  await forgetTriesOf(id);
  await closeScreens(sequelize, id, now);
  return { person, code, until };
}

/** What is known of a person, or that they have left or are back. The last lead stays one. */
export async function changePerson(moment: Moment, id: string, asked: AskedOtherwise): Promise<SetupPerson> {
  const { sequelize, now } = moment;
  const person = await oneAtATime(sequelize, (transaction) => personChanged(moment, id, asked, transaction));
  if (asked.left) {
    await forgetDevicesOf(id);
    await closeScreens(sequelize, id, now);
  }
  return person;
}

type AskedOtherwise = Partial<Asked> & {
  readonly left?: boolean;
  /** What their badge says, or none. */
  readonly badge?: string | null;
};

/** One of them, within a change that may be of many. */
export async function personChanged(
  { by, now }: Moment,
  id: string,
  asked: AskedOtherwise,
  transaction: Transaction,
): Promise<SetupPerson> {
  const row = await found(id, transaction);
  const before = viewOf(row, 0, now);
  const staysLead = (asked.role ?? row.role) === 'lead' && !(asked.left ?? row.leftAt !== null);
  if (row.role === 'lead' && !row.leftAt && !staysLead) await refuseLastLead(row, transaction);
  if (asked.name !== undefined)
    refuseTaken(asked.name, await PersonRow.findOne({ where: { name: asked.name }, transaction }), id);
  if (typeof asked.badge === 'string') await refuseTakenBadge(asked.badge, id, transaction);
  await row.update(
    {
      name: asked.name ?? row.name,
      role: asked.role ?? row.role,
      skills: asked.skills ? JSON.stringify(asked.skills) : row.skills,
      leftAt: asked.left === undefined ? row.leftAt : asked.left ? now : null,
      ...(asked.badge === undefined ? {} : { badge: asked.badge === null ? null : badgeHash(asked.badge) }),
    },
    { transaction },
  );
  const after = viewOf(row, 0, now);
  const what = asked.badge === undefined ? wordsOf(before, after) : badgeWords(after);
  await noteChange({ by, at: now, subject: 'people', what, before, after }, transaction);
  return after;
}

/** Everywhere that they are signed in. */
export async function closeScreens(
  sequelize: Sequelize,
  personId: string,
  now: Date,
): Promise<readonly string[]> {
  const sids = (await sessionsByPerson(sequelize, now)).get(personId) ?? [];
  if (sids.length > 0)
    await sequelize.query('DELETE FROM sessions WHERE sid IN (:sids)', { replacements: { sids } });
  return sids;
}

const badgeWords = ({ name, hasBadge }: SetupPerson): string =>
  hasBadge ? `${name} has a badge` : `${name} has no badge any more`;

function wordsOf(before: SetupPerson, after: SetupPerson): string {
  if (before.standing !== 'left' && after.standing === 'left') return `${after.name} has left`;
  if (before.standing === 'left' && after.standing !== 'left') return `${after.name} is back`;
  const changed = [
    ...(before.name === after.name ? [] : [`${before.name} is now ${after.name}`]),
    ...(before.role === after.role ? [] : [`${after.name}: ${before.role} to ${after.role}`]),
    ...(before.skills.join() === after.skills.join()
      ? []
      : [`${after.name} can: ${after.skills.join(', ') || 'nothing noted'}`]),
  ];
  return changed.join('; ').slice(0, 200) || `${after.name}: nothing changed`;
}

async function found(id: string, transaction: Transaction): Promise<PersonRow> {
  const row = await PersonRow.findByPk(id, { transaction });
  if (!row || row.erasedAt) throw new Refusal({ code: 'not-found', what: 'person' });
  return row;
}

async function refuseLastLead(row: PersonRow, transaction: Transaction): Promise<void> {
  const leads = await PersonRow.findAll({ where: { role: 'lead', leftAt: null }, transaction });
  // Who has a code still and no PIN is no lead yet.
  if (!leads.some(({ id, codeUntil: code }) => id !== row.id && code === null))
    throw new Refusal({ code: 'person.last-lead', name: row.name });
}
