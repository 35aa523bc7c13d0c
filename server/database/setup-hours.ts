import { workHours, type WorkHours } from '@dusk-wren/contract';
import {
  hoursView,
  type AbsenceAsked,
  type ExtraHoursAsked,
  type Holiday,
  type HoursView,
} from '@dusk-wren/contract/week';
import { ROLES } from '@dusk-wren/core/job';
import { sayDay } from '@dusk-wren/core/quantity';
import { Op, type Transaction } from 'sequelize';
import { z } from 'zod';
import { Refusal } from '../refusal';
import { PersonRow } from './models';
import { noted } from './noted-change';
import type { Moment } from './setup-changes';
import { SettingRow } from './setup-models';
import { AbsenceRow, ExtraHoursRow, HolidayRow } from './week-models';

/** Those of a shop that has not said any. */
const USUAL_HOURS: WorkHours = { days: ['Mon', 'Tue', 'Wed', 'Thu', 'Fri'], opens: '07:00', closes: '15:30' };

const HOURS = 'hours';

const readHours = (text: string): WorkHours => workHours.parse(JSON.parse(text));

/** Who is there when: everybody at work, from a day on. */
export async function listHours(today: string): Promise<HoursView> {
  const from = { [Op.gte]: today };
  const [kept, holidays, people, absences, extras] = await Promise.all([
    SettingRow.findByPk(HOURS),
    HolidayRow.findAll({ where: { day: from }, order: [['day', 'ASC']] }),
    PersonRow.findAll({ where: { leftAt: null }, order: [['name', 'ASC']] }),
    AbsenceRow.findAll({ where: { toDay: from }, order: [['fromDay', 'ASC']] }),
    ExtraHoursRow.findAll({ where: { day: from }, order: [['day', 'ASC']] }),
  ]);
  return hoursView.parse({
    shop: kept ? readHours(kept.value) : USUAL_HOURS,
    holidays: holidays.map(({ day, name }) => ({ day, name })),
    people: people.map((person) => ({
      id: person.id,
      name: person.name,
      role: z.enum(ROLES).parse(person.role),
      skills: z.array(z.string()).parse(JSON.parse(person.skills)),
      // A row that was just made has no such column at all yet.
      hours: typeof person.hours === 'string' ? readHours(person.hours) : null,
      away: absences
        .filter(({ personId }) => personId === person.id)
        .map(({ id, fromDay, toDay, why }) => ({ id, from: fromDay, to: toDay, why })),
      extra: extras
        .filter(({ personId }) => personId === person.id)
        .map(({ id, day, opens, closes }) => ({ id, day, from: opens, to: closes })),
    })),
  });
}

/** `Mon Tue Wed 07:00 to 15:30, break 12:00 to 12:30`. */
function sayHours({ days, opens, closes, breakFrom, breakTo }: WorkHours): string {
  const pause = breakFrom === undefined ? '' : `, break ${breakFrom} to ${breakTo}`;
  return `${days.join(' ')} ${opens} to ${closes}${pause}`;
}

const changed = (moment: Moment, change: (transaction: Transaction) => Promise<string>): Promise<void> =>
  noted(moment, 'hours', change);

export const setShopHours = (moment: Moment, hours: WorkHours): Promise<void> =>
  changed(moment, async (transaction) => {
    await SettingRow.upsert({ name: HOURS, value: JSON.stringify(hours) }, { transaction });
    return `the shop works ${sayHours(hours)}`;
  });

export const setOwnHours = (moment: Moment, person: string, hours: WorkHours | null): Promise<void> =>
  changed(moment, async (transaction) => {
    const row = await found(person, transaction);
    await row.update({ hours: hours && JSON.stringify(hours) }, { transaction });
    return hours ? `${row.name} works ${sayHours(hours)}` : `${row.name} works the hours of the shop`;
  });

/** A day on which nobody works; named again it has the new name. */
export const addHoliday = (moment: Moment, holiday: Holiday): Promise<void> =>
  changed(moment, async (transaction) => {
    await HolidayRow.upsert(holiday, { transaction });
    return `nobody works on ${sayDay(holiday.day)}: ${holiday.name}`;
  });

export const removeHoliday = (moment: Moment, day: string): Promise<void> =>
  changed(moment, async (transaction) => {
    await HolidayRow.destroy({ where: { day }, transaction });
    return `${sayDay(day)} is worked on`;
  });

export const addAbsence = (moment: Moment, { person, from, to, why }: AbsenceAsked): Promise<void> =>
  changed(moment, async (transaction) => {
    const { name } = await found(person, transaction);
    await AbsenceRow.create({ personId: person, fromDay: from, toDay: to, why }, { transaction });
    return `${name} is away ${spanOf(from, to)}: ${why}`;
  });

export const removeAbsence = (moment: Moment, id: number): Promise<void> =>
  changed(moment, async (transaction) => {
    const row = await AbsenceRow.findByPk(id, { transaction });
    if (!row) throw new Refusal({ code: 'not-found', what: 'absence' });
    await row.destroy({ transaction });
    return `${(await found(row.personId, transaction)).name} is not away ${spanOf(row.fromDay, row.toDay)}`;
  });

export const addExtraHours = (moment: Moment, { person, evenings }: ExtraHoursAsked): Promise<void> =>
  changed(moment, async (transaction) => {
    const { name } = await found(person, transaction);
    await ExtraHoursRow.bulkCreate(
      evenings.map(({ day, from, to }) => ({ personId: person, day, opens: from, closes: to })),
      { transaction },
    );
    const when = evenings.map(({ day, from, to }) => `${from} to ${to} on ${sayDay(day)}`);
    return `${name} stays ${when.join(', ')}`;
  });

export const removeExtraHours = (moment: Moment, id: number): Promise<void> =>
  changed(moment, async (transaction) => {
    const row = await ExtraHoursRow.findByPk(id, { transaction });
    if (!row) throw new Refusal({ code: 'not-found', what: 'hours' });
    await row.destroy({ transaction });
    return `${(await found(row.personId, transaction)).name} does not stay longer on ${sayDay(row.day)}`;
  });

const spanOf = (from: string, to: string): string =>
  from === to ? `on ${sayDay(from)}` : `from ${sayDay(from)} to ${sayDay(to)}`;

async function found(id: string, transaction: Transaction): Promise<PersonRow> {
  const row = await PersonRow.findByPk(id, { transaction });
  if (!row || row.leftAt) throw new Refusal({ code: 'not-found', what: 'person' });
  return row;
}
