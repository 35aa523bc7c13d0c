import { Op, type Transaction } from 'sequelize';
import { Refusal } from '../refusal';
import { AttemptRow, WitnessedRow } from './drill-models';
import { forgetDevicesOf } from './known-devices';
import { PersonRow } from './models';
import { FORGOTTEN } from './second-factors';
import { noteChange, type Moment } from './setup-changes';
import { forgetTriesOf } from './sign-in-tries';
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
