import { recallView, type InstrumentTrace, type RecallView } from '@dusk-wren/contract';
import { wordProblem } from '@dusk-wren/contract/wording';
import type { ReadOtherwise } from '@dusk-wren/core/command';
import { instrumentId, personStamp } from '@dusk-wren/core/job';
import { wordCompared } from '@dusk-wren/core/plan';
import { formatNumber } from '@dusk-wren/core/quantity';
import { Op, type WhereOptions } from 'sequelize';
import { z } from 'zod';
import type { Printer } from '../documents/printer';
import { Refusal } from '../refusal';
import { lastTwo } from './calibrations';
import { loadRawLog } from './job-log';
import { EventRow, InstrumentRow, JobRow } from './models';
import { noteChange, type Moment } from './setup-changes';
import { RecallRow } from './setup-models';
import { oneAtATime } from './transacted';
import { settleValveOf } from './valve-lives';

/** Jobs of one instrument that are weighed at once. */
const MOST = 100;
const EVER = '2000-01-01';

interface Traced extends InstrumentTrace {
  readonly calibrationId: number;
}

/**
 * Weighs every job that an instrument was read on from the calibration before the last one to the last: what would stand
 * otherwise, had its readings been off by as much as it was found.
 */
export async function trace(printer: Printer, id: string): Promise<Traced> {
  const [last, before] = await lastTwo(id);
  if (!last) throw new Refusal({ code: 'not-found', what: 'calibration of it' });
  const since = before?.day ?? null;
  const until = last.day;
  const rows = await EventRow.findAll({
    where: { instrumentId: id, at: { [Op.gte]: since ?? EVER, [Op.lt]: `${until}T24` } },
    attributes: ['jobId'],
    group: ['jobId'],
    limit: MOST + 1,
  });
  const touched = await JobRow.findAll({ where: { id: rows.slice(0, MOST).map(({ jobId }) => jobId) } });
  const recalled = await RecallRow.findAll({ where: { calibrationId: last.id } });
  const doubt = { instrument: instrumentId.parse(id), off: last.foundOff, since: since ?? EVER, until };
  const jobs: InstrumentTrace['jobs'] = [];
  for (const { id: job, tag, state } of touched) {
    const found = await printer.weigh(await loadRawLog(job, 0), doubt);
    if (!found || !touches(found)) continue;
    jobs.push({
      ...{ job, tag, isOut: state !== 'open' },
      ...{ calls: [...found.calls], more: [...found.more], fewer: [...found.fewer] },
      undone: [...found.undone],
      refused: found.refused.map(({ step, problem }) => `${step}: ${wordProblem(problem)}`),
      isRecalled: recalled.some(({ jobId }) => jobId === job),
    });
  }
  return {
    ...{ since, until, offPercent: last.foundOff * 100, calibrationId: last.id },
    ...{ looked: touched.length, more: rows.length > MOST, jobs },
  };
}

const touches = ({ calls, more, fewer, undone, refused }: ReadOtherwise): boolean =>
  calls.length + more.length + fewer.length + undone.length + refused.length > 0;

/** Calls back every job that the last calibration of an instrument puts in doubt, once. */
export async function recallTraced(
  { sequelize, by, now }: Moment,
  printer: Printer,
  id: string,
): Promise<InstrumentTrace> {
  const { calibrationId, ...found } = await trace(printer, id);
  await oneAtATime(sequelize, async (transaction) => {
    // Whoever presses at the same moment waits here, and finds them called back.
    const row = await InstrumentRow.findByPk(id, { transaction, lock: transaction.LOCK.UPDATE });
    const before = await RecallRow.findAll({ where: { calibrationId }, transaction });
    const open = found.jobs.filter(({ job }) => !before.some(({ jobId }) => jobId === job));
    if (!row || open.length === 0) return;
    await RecallRow.bulkCreate(
      open.map((each) => ({
        ...{ instrumentId: id, calibrationId, jobId: each.job, why: JSON.stringify(wordCompared(each)) },
        ...{ openedAt: now, openedBy: JSON.stringify(by) },
        ...{ closedAt: null, closedBy: null, closedWhy: null },
      })),
      { transaction },
    );
    for (const { job } of open) await settleValveOf(job, transaction);
    const off = formatNumber(found.offPercent, 2);
    const tags = open.map(({ tag }) => tag).join(', ');
    const what = `${row.name}, found ${off} % off: recalled ${tags}`.slice(0, 200);
    await noteChange({ by, at: now, subject: 'recalls', what, after: open }, transaction);
  });
  return { ...found, jobs: found.jobs.map((each) => ({ ...each, isRecalled: true })) };
}

const SHOWN = 100;

/** Recalls, the open ones first, newest first; of one job where told. */
export async function listRecalls(where: WhereOptions<RecallRow> = {}): Promise<RecallView[]> {
  const rows = await RecallRow.findAll({ where, order: [['id', 'DESC']], limit: SHOWN });
  const [jobs, instruments] = await Promise.all([
    JobRow.findAll({ where: { id: rows.map(({ jobId }) => jobId) } }),
    InstrumentRow.findAll({ where: { id: rows.map(({ instrumentId: id }) => id) } }),
  ]);
  return rows
    .map((row) => {
      const job = jobs.find(({ id }) => id === row.jobId);
      return recallView.parse({
        id: row.id,
        job: row.jobId,
        tag: job?.tag ?? '',
        location: job?.location ?? '',
        instrument: instruments.find(({ id }) => id === row.instrumentId)?.name ?? '',
        why: z.array(z.string()).parse(JSON.parse(row.why)),
        openedAt: row.openedAt.toISOString(),
        openedBy: nameIn(row.openedBy),
        closed: row.closedAt && {
          at: row.closedAt.toISOString(),
          by: nameIn(row.closedBy ?? ''),
          why: row.closedWhy ?? '',
        },
      });
    })
    .sort((a, b) => Number(a.closed !== null) - Number(b.closed !== null));
}

const nameIn = (person: string): string => personStamp.parse(JSON.parse(person)).name;

/** Says what was done about a recall; done twice it stays as it was first said. */
export async function closeRecall({ sequelize, by, now }: Moment, id: number, why: string): Promise<void> {
  await oneAtATime(sequelize, async (transaction) => {
    const row = await RecallRow.findByPk(id, { transaction, lock: transaction.LOCK.UPDATE });
    if (!row) throw new Refusal({ code: 'not-found', what: 'recall' });
    if (row.closedAt) return;
    await row.update({ closedAt: now, closedBy: JSON.stringify(by), closedWhy: why }, { transaction });
    await settleValveOf(row.jobId, transaction);
    const job = await JobRow.findByPk(row.jobId, { transaction });
    const what = `recall of ${job?.tag ?? ''} closed: ${why}`.slice(0, 200);
    await noteChange({ by, at: now, subject: 'recalls', what }, transaction);
  });
}
