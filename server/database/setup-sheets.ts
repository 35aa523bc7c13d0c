import type { ModelSheets, SheetRequest, ShopSheet, SiteEffects } from '@dusk-wren/contract';
import { personStamp } from '@dusk-wren/core/job';
import { byOtherSheet } from '@dusk-wren/core/plan';
import { makersSheet, sheetKey, valveSchema, type MakersSheet } from '@dusk-wren/core/valve';
import { Op, type Transaction } from 'sequelize';
import { Refusal } from '../refusal';
import { effectsOn } from './effects';
import { EventRow, JobRow, SheetRow, ValveRow } from './models';
import { noteChange, type Moment } from './setup-changes';
import { oneAtATime } from './transacted';

const sheetIn = (row: SheetRow): MakersSheet => makersSheet.parse(JSON.parse(row.body));

/** Who made each the shop's on a job, and when, by job and entry; with the tags of those jobs. */
async function onJobs(rows: readonly SheetRow[], transaction: Transaction | null) {
  const jobs = [...new Set(rows.flatMap(({ jobId }) => jobId ?? []))];
  if (jobs.length === 0) return () => undefined;
  const seqs = [...new Set(rows.flatMap(({ seq }) => seq ?? []))];
  const [entries, opened] = await Promise.all([
    EventRow.findAll({ where: { jobId: { [Op.in]: jobs }, seq: { [Op.in]: seqs } }, transaction }),
    JobRow.findAll({ where: { id: { [Op.in]: jobs } }, attributes: ['id', 'tag'], transaction }),
  ]);
  const tags = new Map(opened.map(({ id, tag }) => [id, tag]));
  const found = new Map(entries.map((entry) => [`${entry.jobId} ${entry.seq}`, entry]));
  return ({ jobId, seq }: SheetRow) => {
    const entry = found.get(`${jobId} ${seq}`);
    if (!entry || jobId === null) return undefined;
    const { name } = personStamp.parse(JSON.parse(entry.person));
    return { by: name, at: new Date(entry.at).toISOString(), job: { id: jobId, tag: tags.get(jobId) ?? '' } };
  };
}

async function viewsOf(rows: readonly SheetRow[], transaction: Transaction | null): Promise<ShopSheet[]> {
  const onJob = await onJobs(rows, transaction);
  return rows.map((row) => {
    const by = row.person === null ? null : personStamp.parse(JSON.parse(row.person)).name;
    const own = { by, at: row.at?.toISOString() ?? null, job: null };
    return { id: row.id, sheet: sheetIn(row), ...(onJob(row) ?? own) };
  });
}

/** Every model that the shop has a sheet of, by name. */
export async function listSheets(transaction: Transaction | null = null): Promise<ModelSheets[]> {
  const rows = await SheetRow.findAll({ order: [['id', 'DESC']], transaction });
  const models = new Map<string, ShopSheet[]>();
  for (const view of await viewsOf(rows, transaction)) {
    const key = sheetKey(view.sheet.model);
    models.set(key, [...(models.get(key) ?? []), view]);
  }
  return [...models.values()]
    .flatMap(([current, ...earlier]) => (current ? [{ model: current.sheet.model, current, earlier }] : []))
    .sort((a, b) => a.model.localeCompare(b.model));
}

const currentRow = (model: string, transaction: Transaction): Promise<SheetRow | null> =>
  SheetRow.findOne({ where: { model: sheetKey(model) }, order: [['id', 'DESC']], transaction });

/** A sheet that a lead has read: from now on the shop's. Refused where the one that was seen is not the shop's any more. */
export const fileSheet = (moment: Moment, asked: SheetRequest): Promise<void> =>
  oneAtATime(moment.sequelize, (transaction) => sheetFiled(moment, asked, transaction));

/** One of them, within a change that may be of many. */
export async function sheetFiled(
  { by, now }: Moment,
  { sheet, instead }: SheetRequest,
  transaction: Transaction,
): Promise<void> {
  const current = await currentRow(sheet.model, transaction);
  if ((current?.id ?? null) !== instead)
    throw new Refusal({
      code: 'sheet.changed',
      model: sheet.model,
      revision: current ? sheetIn(current).revision : 'none',
    });
  await SheetRow.create(
    {
      ...{ model: sheetKey(sheet.model), body: JSON.stringify(sheet), jobId: null, seq: null },
      ...{ person: JSON.stringify(by), at: now },
    },
    { transaction },
  );
  const before = current ? sheetIn(current) : undefined;
  const what = `${sheet.model}: revision ${sheet.revision}${before ? ` after ${before.revision}` : ', the first'}`;
  await noteChange({ by, at: now, subject: 'sheets', what, before, after: sheet }, transaction);
}

/** Takes a sheet away: the one before it is the shop's again. */
export const withdrawSheet = ({ sequelize, by, now }: Moment, id: number): Promise<void> =>
  oneAtATime(sequelize, async (transaction) => {
    const row = await SheetRow.findByPk(id, { transaction });
    if (!row) throw new Refusal({ code: 'not-found', what: 'sheet' });
    const before = sheetIn(row);
    await row.destroy({ transaction });
    const what = `${before.model}: revision ${before.revision} withdrawn`;
    await noteChange({ by, at: now, subject: 'sheets', what, before }, transaction);
  });

/** Which open jobs on valves of its model would stand otherwise by a sheet, and how. */
export async function effectsOfSheet(sheet: MakersSheet): Promise<SiteEffects> {
  const open = await JobRow.findAll({ where: { state: 'open' }, order: [['openedAt', 'ASC']] });
  const valves = await ValveRow.findAll({ where: { id: { [Op.in]: open.map(({ valveId }) => valveId) } } });
  const its = new Set(
    valves
      .filter(({ body }) => {
        const { plate } = valveSchema.parse(JSON.parse(body));
        return plate?.model !== undefined && sheetKey(plate.model) === sheetKey(sheet.model);
      })
      .map(({ id }) => id),
  );
  return effectsOn(
    open.filter(({ valveId }) => its.has(valveId)),
    (log) => byOtherSheet(log, sheet),
  );
}
