import { setupChange, type SetupChange } from '@dusk-wren/contract';
import { personStamp, type PersonStamp } from '@dusk-wren/core/job';
import { Op, type Sequelize, type Transaction } from 'sequelize';
import { Refusal } from '../refusal';
import { SetupChangeRow } from './setup-models';

/** Who changes something of setup, and when. */
export interface Moment {
  readonly sequelize: Sequelize;
  readonly by: PersonStamp;
  readonly now: Date;
}

/** Something set up, as it was and as it is; hashes and codes are never among it. */
export interface Changed {
  readonly by: PersonStamp;
  readonly at: Date;
  readonly subject: SetupChange['subject'];
  /** In words, as it is read later. */
  readonly what: string;
  readonly before?: unknown;
  readonly after?: unknown;
}

/** Written in the transaction of the change itself: there is none without its line. */
export async function noteChange(
  { by, at, subject, what, before, after }: Changed,
  transaction: Transaction,
): Promise<void> {
  const json = (value: unknown) => (value === undefined ? null : JSON.stringify(value));
  const row = { at, person: JSON.stringify(by), subject, what, before: json(before), after: json(after) };
  await SetupChangeRow.create(row, { transaction });
}

/** The number of the last change there was. */
export const lastChange = async (): Promise<number> => {
  const last = await SetupChangeRow.findOne({ order: [['id', 'DESC']] });
  return last?.id ?? 0;
};

/** Whoever looked at setup as it stood at a change writes nothing over a later one. */
export async function refuseChangedSince(change: number, transaction: Transaction): Promise<void> {
  const later = await SetupChangeRow.findOne({
    where: { id: { [Op.gt]: change } },
    order: [['id', 'DESC']],
    transaction,
  });
  if (!later) return;
  const { name } = personStamp.parse(JSON.parse(later.person));
  throw new Refusal({ code: 'setup.changed', by: name, what: later.what });
}

const MOST_IN_A_FILE = 100_000;

/** Every change, oldest first, with what was before and after it: for a file. */
export async function everyChange(): Promise<SetupChangeRow[]> {
  return SetupChangeRow.findAll({ order: [['id', 'ASC']], limit: MOST_IN_A_FILE });
}

const PAGE = 50;

/** Changes, newest first; those whose words or whose author hold `q`. */
export async function listChanges({
  q,
  before,
}: {
  readonly q?: string;
  readonly before?: number;
}): Promise<{ changes: SetupChange[]; more: boolean }> {
  const like = { [Op.like]: `%${(q ?? '').replace(/[\\%_]/g, '\\$&')}%` };
  const rows = await SetupChangeRow.findAll({
    where: {
      ...(before === undefined ? {} : { id: { [Op.lt]: before } }),
      ...(q ? { [Op.or]: [{ what: like }, { person: like }] } : {}),
    },
    order: [['id', 'DESC']],
    limit: PAGE + 1,
  });
  const changes = rows.slice(0, PAGE).map(({ id, at, person, subject, what }) =>
    setupChange.parse({
      id,
      at: at.toISOString(),
      by: personStamp.parse(JSON.parse(person)).name,
      subject,
      what,
    }),
  );
  return { changes, more: rows.length > PAGE };
}
