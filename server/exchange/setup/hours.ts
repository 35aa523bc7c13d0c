import {
  absenceRequest,
  holidayRequest,
  type AbsenceAsked,
  type Holiday,
  type HoursOfPerson,
} from '@dusk-wren/contract/week';
import { dayIn } from '@dusk-wren/core/quantity';
import { listHours } from '../../database/setup-hours';
import { noteChange, type Moment } from '../../database/setup-changes';
import { shopZone } from '../../database/shop-day';
import { AbsenceRow, HolidayRow } from '../../database/week-models';
import type { Transaction } from 'sequelize';
import { z } from 'zod';
import { setupFile, type SetupFile } from './setup-file';

const hoursNow = async (now: () => Date) => listHours(dayIn(now().toISOString(), await shopZone()));

const noteHours = ({ by, now }: Moment, what: string, transaction: Transaction): Promise<void> =>
  noteChange({ by, at: now, subject: 'hours', what }, transaction);

/** Days on which nobody works, from today on. */
export const holidaysFile = (now: () => Date): SetupFile =>
  setupFile<Holiday>({
    heading: ['day', 'name'],
    may: [],
    here: async () => (await hoursNow(now)).holidays.map((is) => ({ id: is.day, is })),
    nameOf: ({ day }) => day,
    cellsOf: ({ day, name }) => [day, name],
    read: (cells) => holidayRequest.safeParse({ day: cells['day'], name: cells['name'] }),
    writer: (moment, changes) => async (transaction) => {
      for (const { is } of changes) await HolidayRow.upsert(is, { transaction });
      await noteHours(moment, `${changes.length} days that nobody works on, by a file`, transaction);
      return [];
    },
  });

interface Away extends AbsenceAsked {
  readonly name: string;
}

const NOBODY = z
  .custom<Away>()
  .refine(() => false, { path: ['person'], message: 'nobody here is called so' });

/** Who is away when, from today on; an absence is known by its person and its first day. */
export function absencesFile(now: () => Date): SetupFile {
  const file = async () => absencesOf((await hoursNow(now)).people);
  return {
    write: async () => (await file()).write(),
    look: async (csv) => (await file()).look(csv),
    take: async (moment, asked) => (await file()).take(moment, asked),
  };
}

function absencesOf(people: readonly HoursOfPerson[]): SetupFile {
  const idOf = new Map(people.map(({ id, name }) => [name.toLowerCase(), id]));
  return setupFile<Away>({
    heading: ['name', 'from', 'to', 'why'],
    may: [],
    here: () =>
      Promise.resolve(
        people.flatMap(({ id: person, name, away }) =>
          away.map(({ id, from, to, why }) => ({ id: String(id), is: { person, name, from, to, why } })),
        ),
      ),
    nameOf: ({ name, from }) => `${name}, ${from}`,
    nameIn: (cells) => `${cells['name'] ?? ''}, ${cells['from'] ?? ''}`,
    cellsOf: ({ name, from, to, why }) => [name, from, to, why],
    read: (cells) => {
      const name = (cells['name'] ?? '').trim();
      const person = idOf.get(name.toLowerCase());
      if (person === undefined) return NOBODY.safeParse({});
      return absenceRequest
        .transform((asked) => ({ ...asked, name }))
        .safeParse({
          ...{ person, from: cells['from'], to: cells['to'] || cells['from'], why: cells['why'] },
        });
    },
    column: (path) => (path === 'person' ? 'name' : path),
    writer: (moment, changes) => async (transaction) => {
      for (const { was, is } of changes) {
        const row = { personId: is.person, fromDay: is.from, toDay: is.to, why: is.why };
        if (was) await AbsenceRow.update(row, { where: { id: Number(was.id) }, transaction });
        else await AbsenceRow.create(row, { transaction });
      }
      await noteHours(moment, `${changes.length} absences by a file`, transaction);
      return [];
    },
  });
}
