import type { SetupSite, SiteEffects } from '@dusk-wren/contract';
import {
  rulesChanged,
  siteRulesSchema,
  USUAL_RULES,
  wordRuleChange,
  type SiteRules,
} from '@dusk-wren/core/inspection';
import { underOtherRules } from '@dusk-wren/core/plan';
import type { Transaction } from 'sequelize';
import { Refusal } from '../refusal';
import { effectsOn } from './effects';
import { JobRow, SiteRow, ValveRow } from './models';
import { noteChange, type Moment } from './setup-changes';
import { oneAtATime } from './transacted';

const rulesIn = (row: SiteRow): SiteRules => siteRulesSchema.parse(JSON.parse(row.rules));

async function openJobsOf(customer: string, transaction: Transaction | null = null): Promise<JobRow[]> {
  const valves = await ValveRow.findAll({ where: { customer }, attributes: ['id'], transaction });
  return JobRow.findAll({
    where: { valveId: valves.map(({ id }) => id), state: 'open' },
    order: [['openedAt', 'ASC']],
    transaction,
  });
}

async function viewOf(row: SiteRow, transaction: Transaction | null = null): Promise<SetupSite> {
  const { customer, version } = row;
  const openJobs = (await openJobsOf(customer, transaction)).length;
  return { customer, version, rules: rulesIn(row), openJobs };
}

/** Every customer that has rules, by name. */
export async function listSites(): Promise<SetupSite[]> {
  const rows = await SiteRow.findAll({ order: [['customer', 'ASC']] });
  return Promise.all(rows.map((row) => viewOf(row)));
}

/** A new customer, whose site goes by common practice until it says otherwise. */
export const addSite = (moment: Moment, customer: string): Promise<SetupSite> =>
  oneAtATime(moment.sequelize, (transaction) =>
    siteAdded(moment, customer, { ...USUAL_RULES, name: customer }, transaction),
  );

/** One more, within a change that may be of many. */
export async function siteAdded(
  { by, now }: Moment,
  customer: string,
  rules: SiteRules,
  transaction: Transaction,
): Promise<SetupSite> {
  if (await SiteRow.findByPk(customer, { transaction }))
    throw new Refusal({ code: 'name.taken', name: customer });
  const row = await SiteRow.create({ customer, rules: JSON.stringify(rules), version: 1 }, { transaction });
  const own = rulesChanged(USUAL_RULES, rules).length;
  const what = `${customer} added, ${own === 0 ? 'by common practice' : `with ${own} rules of its own`}`;
  await noteChange({ by, at: now, subject: 'sites', what, after: rules }, transaction);
  return viewOf(row, transaction);
}

/** Other rules, for jobs that are opened from now on: those that are open keep theirs. Refused where somebody was quicker. */
export const changeRules = (moment: Moment, asked: AskedRules): Promise<SetupSite> =>
  oneAtATime(moment.sequelize, (transaction) => rulesSet(moment, asked, transaction));

interface AskedRules {
  readonly customer: string;
  /** The version that is changed. */
  readonly version: number;
  readonly rules: SiteRules;
}

/** Those of one site, within a change that may be of many. */
export async function rulesSet(
  { by, now }: Moment,
  { customer, version, rules }: AskedRules,
  transaction: Transaction,
): Promise<SetupSite> {
  const row = await found(customer, transaction);
  if (row.version !== version) throw new Refusal({ code: 'rules.changed', customer, version: row.version });
  const before = rulesIn(row);
  await row.update({ rules: JSON.stringify(rules), version: version + 1 }, { transaction });
  const changed = rulesChanged(before, rules).map(wordRuleChange);
  const what = `${customer}, rules ${version + 1}: ${changed.join('; ') || 'their name'}`.slice(0, 200);
  await noteChange({ by, at: now, subject: 'sites', what, before, after: rules }, transaction);
  return viewOf(row, transaction);
}

/** Which open jobs of a customer would stand otherwise under these rules, and how. */
export async function effectsOf(customer: string, rules: SiteRules): Promise<SiteEffects> {
  await found(customer);
  return effectsOn(await openJobsOf(customer), (log) => underOtherRules(log, rules));
}

/** The row of a customer; in a transaction nobody else changes it until that ends. */
async function found(customer: string, transaction?: Transaction): Promise<SiteRow> {
  const row = await SiteRow.findByPk(
    customer,
    transaction ? { transaction, lock: transaction.LOCK.UPDATE } : {},
  );
  if (!row) throw new Refusal({ code: 'not-found', what: 'customer' });
  return row;
}
