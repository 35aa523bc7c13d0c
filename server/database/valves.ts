import { siteRulesSchema, USUAL_RULES, type SiteRules } from '@dusk-wren/core/inspection';
import { valveId, type ValveId } from '@dusk-wren/core/job';
import { conditionOf, conditionSchema, type Condition } from '@dusk-wren/core/simulation';
import {
  likeness,
  LIKENESSES,
  plateKey,
  valveSchema,
  type Likeness,
  type Valve,
} from '@dusk-wren/core/valve';
import { randomUUID } from 'node:crypto';
import { Op, type Transaction } from 'sequelize';
import { decodeCursor, pageOf, likePrefix } from './paging';
import { SiteRow, ValveRow } from './models';
import { keepWords } from './valve-words';

export interface FiledValve {
  id: ValveId;
  valve: Valve;
  standing: string;
}

const filed = (row: ValveRow): FiledValve => ({
  id: valveId.parse(row.id),
  valve: valveSchema.parse(JSON.parse(row.body)),
  standing: row.standing,
});

export async function listValves(query: {
  q?: string;
  cursor?: string;
  limit: number;
}): Promise<{ valves: FiledValve[]; next: string | null }> {
  const after = query.cursor === undefined ? undefined : decodeCursor(query.cursor);
  const rows = await ValveRow.findAll({
    where: {
      [Op.and]: [
        query.q
          ? {
              [Op.or]: [
                { tag: { [Op.like]: likePrefix(query.q) } },
                { serial: { [Op.like]: likePrefix(query.q) } },
              ],
            }
          : {},
        after
          ? { [Op.or]: [{ tag: { [Op.gt]: after.key } }, { tag: after.key, id: { [Op.gt]: after.id } }] }
          : {},
      ],
    },
    order: [
      ['tag', 'ASC'],
      ['id', 'ASC'],
    ],
    limit: query.limit + 1,
  });
  const { page, next } = pageOf(rows, query.limit, ({ tag, id }) => [tag, id]);
  return { valves: page.map(filed), next };
}

/** Letters of a tag that a slip of the pen is taken to have left right: where near tags are looked for. */
const SURE_LETTERS = 3;

/** Valves on file that one being typed in could be taken for, or is. */
export async function valvesLike(typed: {
  tag: string;
  serial?: string;
}): Promise<{ id: ValveId; tag: string; serial?: string; likeness: Likeness }[]> {
  const key = plateKey(typed.tag);
  const serial = typed.serial === undefined ? '' : plateKey(typed.serial);
  const rows = await ValveRow.findAll({
    where: {
      [Op.or]: [
        ...(key.length >= SURE_LETTERS
          ? [{ tagKey: { [Op.like]: likePrefix(key.slice(0, SURE_LETTERS)) } }]
          : [{ tagKey: key }]),
        ...(serial === '' ? [] : [{ serialKey: serial }]),
      ],
    },
    limit: 400,
  });
  return rows
    .flatMap((row) => {
      const known = { tag: row.tag, ...(row.serial === null ? {} : { serial: row.serial }) };
      const found = likeness(typed, known);
      return found ? [{ id: valveId.parse(row.id), ...known, likeness: found }] : [];
    })
    .sort((a, b) => LIKENESSES.indexOf(a.likeness) - LIKENESSES.indexOf(b.likeness));
}

export async function findValve(
  id: string,
  transaction: Transaction | null = null,
): Promise<FiledValve | undefined> {
  const row = await ValveRow.findByPk(id, { transaction });
  return row ? filed(row) : undefined;
}

/** The same, and it stands as it does until the transaction ends: nobody scraps it while a job is opened on it. */
export async function holdValve(id: string, transaction: Transaction): Promise<FiledValve | undefined> {
  const row = await ValveRow.findByPk(id, { transaction, lock: transaction.LOCK.SHARE });
  return row ? filed(row) : undefined;
}

/** The valve that a customer knows by this tag. */
export async function findValveOf(
  customer: string,
  tag: string,
  transaction: Transaction,
): Promise<FiledValve | undefined> {
  const row = await ValveRow.findOne({ where: { customer, tag }, transaction });
  return row ? filed(row) : undefined;
}

export async function fileValve(
  valve: Valve,
  transaction: Transaction,
  given?: { id?: string; simulated?: Condition },
): Promise<FiledValve> {
  const row = await ValveRow.create(
    {
      id: given?.id ?? randomUUID(),
      tag: valve.tag,
      serial: valve.serial ?? null,
      tagKey: plateKey(valve.tag),
      serialKey: valve.serial === undefined ? null : plateKey(valve.serial),
      customer: valve.customer,
      construction: valve.construction,
      body: JSON.stringify(valve),
      simulated: given?.simulated ? JSON.stringify(given.simulated) : null,
    },
    { transaction },
  );
  await keepWords(row.id, valve, row.standing, transaction);
  return filed(row);
}

/** What the simulated instruments find on this valve. */
export async function conditionFor(id: string): Promise<Condition> {
  const row = await ValveRow.findByPk(id);
  return row?.simulated ? conditionSchema.parse(JSON.parse(row.simulated)) : conditionOf(id);
}

/** The rules of a customer's site; common practice while it has none. */
export async function rulesOf(customer: string, transaction: Transaction | null = null): Promise<SiteRules> {
  const row = await SiteRow.findByPk(customer, { transaction });
  return row ? siteRulesSchema.parse(JSON.parse(row.rules)) : USUAL_RULES;
}

export async function listCustomers(): Promise<string[]> {
  return (await SiteRow.findAll({ order: [['customer', 'ASC']] })).map(({ customer }) => customer);
}
