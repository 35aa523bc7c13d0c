import { personStamp } from '@dusk-wren/core/job';
import { monthsAfter } from '@dusk-wren/core/quantity';
import { Op, type Sequelize, type Transaction } from 'sequelize';
import { Refusal } from '../refusal';
import { AttemptRow, WitnessedRow } from './drill-models';
import { forgetDevicesOf } from './known-devices';
import { PersonRow } from './models';
import { FORGOTTEN } from './second-factors';
import { noteChange, type Moment } from './setup-changes';
import { forgetTriesOf } from './sign-in-tries';
import { SettingRow, SetupChangeRow } from './setup-models';
import { oneAtATime } from './transacted';
import { AbsenceRow, ExtraHoursRow } from './week-models';

/** A hash that no PIN has. */
const NO_PIN = '';
const nameless = ({ id, role }: PersonRow): string => `Former ${role} ${id.slice(0, 8)}`;

/**
 * Erases what the shop knows of somebody who has left: name on the list, PIN, badge, second factor, devices, skills, hours,
 * absences, drills. What they did stays under their name in the logs and papers of jobs, which others rely on and whose
 * entries vouch for each other.
 */
export async function erasePerson(moment: Moment, id: string): Promise<void> {
  await oneAtATime(moment.sequelize, async (transaction) => {
    const row = await PersonRow.findOne({ where: { id, leftAt: { [Op.not]: null } }, transaction });
    if (!row) throw new Refusal({ code: 'not-found', what: 'person who has left' });
    if (!row.erasedAt) await erased(moment, row, transaction);
  });
  await forgetDevicesOf(id);
  await forgetTriesOf(id);
}

/** As a change of the settings has it: with what comes after a number, for 12 is no 120. */
const said = (months: number, end: string): string => `%"erasedAfterMonths":${months}${end}%`;
const ENDS = [',', '}'];

/**
 * Erases who left longer ago than the shop keeps what it knows of them, in the name of who decided how long; nobody where that
 * is not decided.
 */
export async function eraseLongGone(sequelize: Sequelize, now: Date): Promise<void> {
  const months = Number((await SettingRow.findByPk('erasedAfterMonths'))?.value ?? 0);
  const decided = await SetupChangeRow.findOne({
    where: { subject: 'shop', after: { [Op.or]: ENDS.map((end) => ({ [Op.like]: said(months, end) })) } },
    order: [['id', 'DESC']],
  });
  if (months === 0 || !decided) return;
  const by = personStamp.parse(JSON.parse(decided.person));
  const today = now.toISOString().slice(0, 10);
  const leftAt = { [Op.lt]: new Date(`${monthsAfter(today, -months)}T00:00:00Z`) };
  for (const { id } of await PersonRow.findAll({ where: { leftAt, erasedAt: null } }))
    await erasePerson({ sequelize, by, now }, id);
}

async function erased({ by, now }: Moment, row: PersonRow, transaction: Transaction): Promise<void> {
  const of = { where: { personId: row.id }, transaction };
  await AbsenceRow.destroy(of);
  await ExtraHoursRow.destroy(of);
  await AttemptRow.destroy(of);
  await WitnessedRow.destroy(of);
  await row.update(
    {
      ...{ name: nameless(row), pinHash: NO_PIN, codeUntil: null, skills: '[]', hours: null },
      ...{ badge: null, deviceKey: null, ...FORGOTTEN, erasedAt: now },
    },
    { transaction },
  );
  const what = `what was known of ${row.name} is erased`;
  await noteChange({ by, at: now, subject: 'people', what }, transaction);
}
