import type {
  calibrationRequest,
  changeInstrumentRequest,
  DriverSettings,
  InstrumentReadings,
  newInstrumentRequest,
  SetupInstrument,
} from '@dusk-wren/contract';
import {
  describeEntry,
  INSTRUMENT_KINDS,
  personStamp,
  readEntry,
  type InstrumentKind,
} from '@dusk-wren/core/job';
import type { UnitSystem } from '@dusk-wren/core/quantity';
import { randomUUID } from 'node:crypto';
import { Op, type Transaction } from 'sequelize';
import { z } from 'zod';
import { isSimulated } from '../instruments/registry';
import { wrongOfDriver } from '../instruments/settings';
import { Refusal } from '../refusal';
import { certificateNames } from './calibration-files';
import { lastTwo } from './calibrations';
import { setOn } from './instruments';
import { toRaw } from './job-log';
import { EventRow, InstrumentRow, JobRow } from './models';
import { noteChange, type Moment } from './setup-changes';
import { CalibrationRow } from './setup-models';
import { refuseTaken } from './setup-names';
import { oneAtATime } from './transacted';
import { shopDay } from './shop-day';

const percent = (share: number) => Math.round(share * 1e6) / 1e4;

const kindOf = ({ kind }: InstrumentRow): InstrumentKind => z.enum(INSTRUMENT_KINDS).parse(kind);

/** A driver that does not read this kind, or cannot be set so, is refused. */
function refuseDriver(driver: string, kind: InstrumentKind, settings: DriverSettings): void {
  const issues = wrongOfDriver(driver, kind, settings);
  if (issues.length > 0) throw new Refusal({ code: 'request.invalid', issues });
}

interface Around {
  readonly done: readonly CalibrationRow[];
  /** Files of certificates, by the calibration that each is of. */
  readonly files: ReadonlyMap<number, string>;
  readonly today: string;
}

function viewOf(row: InstrumentRow, { done, files, today }: Around): SetupInstrument {
  const { id, name, serial, reach, resolution, driver, calibrationDue } = row;
  return {
    ...{ id, name, serial, reach, resolution, driver, calibrationDue },
    kind: kindOf(row),
    settings: setOn(row),
    simulated: isSimulated(driver, setOn(row)),
    inCalibration: calibrationDue >= today,
    // A row that was just made has no such day at all yet.
    retired: row.retiredAt instanceof Date,
    calibrations: done
      .filter(({ instrumentId }) => instrumentId === id)
      .map(({ id: calibration, day, due, foundOff, leftOff, certificate, person }) => ({
        ...{ id: calibration, day, due, certificate, file: files.get(calibration) ?? null },
        foundOffPercent: percent(foundOff),
        leftOffPercent: percent(leftOff),
        by: personStamp.parse(JSON.parse(person)).name,
      })),
  };
}

/** Every instrument there ever was, the first that is due first, those out of use last. */
export async function listSetupInstruments(now: Date): Promise<SetupInstrument[]> {
  const [today, rows, done] = await Promise.all([
    shopDay(now.toISOString()),
    InstrumentRow.findAll({ order: [['calibrationDue', 'ASC']] }),
    CalibrationRow.findAll({
      order: [
        ['day', 'DESC'],
        ['id', 'DESC'],
      ],
    }),
  ]);
  const files = await certificateNames(done.map(({ id }) => id));
  return rows
    .map((row) => viewOf(row, { done, files, today }))
    .sort((a, b) => Number(a.retired) - Number(b.retired));
}

/** One instrument as it stands after a change. */
async function seen(row: InstrumentRow, now: Date, transaction: Transaction): Promise<SetupInstrument> {
  const done = await CalibrationRow.findAll({
    where: { instrumentId: row.id },
    order: [
      ['day', 'DESC'],
      ['id', 'DESC'],
    ],
    transaction,
  });
  const files = await certificateNames(
    done.map(({ id }) => id),
    transaction,
  );
  return viewOf(row, { done, files, today: await shopDay(now.toISOString(), transaction) });
}

export const addInstrument = (
  moment: Moment,
  asked: z.output<typeof newInstrumentRequest>,
): Promise<SetupInstrument> =>
  oneAtATime(moment.sequelize, (transaction) => instrumentAdded(moment, asked, transaction));

/** One more, within a change that may be of many. */
export async function instrumentAdded(
  { by, now }: Moment,
  asked: z.output<typeof newInstrumentRequest>,
  transaction: Transaction,
): Promise<SetupInstrument> {
  refuseTaken(asked.name, await InstrumentRow.findOne({ where: { name: asked.name }, transaction }));
  const { driver, kind, settings } = asked;
  refuseDriver(driver, kind, settings);
  const row = await InstrumentRow.create(
    { id: randomUUID(), ...asked, settings: JSON.stringify(settings) },
    { transaction },
  );
  const what = `${asked.name} added, ${asked.kind}`;
  await noteChange({ by, at: now, subject: 'instruments', what, after: asked }, transaction);
  return seen(row, now, transaction);
}

export const changeInstrument = (
  moment: Moment,
  id: string,
  asked: z.output<typeof changeInstrumentRequest>,
): Promise<SetupInstrument> =>
  oneAtATime(moment.sequelize, (transaction) => instrumentChanged(moment, id, asked, transaction));

/** One of them, within a change that may be of many. */
export async function instrumentChanged(
  { by, now }: Moment,
  id: string,
  { retired, ...asked }: z.output<typeof changeInstrumentRequest>,
  transaction: Transaction,
): Promise<SetupInstrument> {
  const row = await found(id, transaction);
  if (asked.name !== undefined)
    refuseTaken(asked.name, await InstrumentRow.findOne({ where: { name: asked.name }, transaction }), id);
  const before = await seen(row, now, transaction);
  const retiredAt = retired === undefined ? row.retiredAt : retired ? now : null;
  const driver = asked.driver ?? row.driver;
  // What was set on one driver says nothing to another.
  const settings = asked.settings ?? (driver === row.driver ? before.settings : {});
  if (asked.driver !== undefined || asked.settings !== undefined) refuseDriver(driver, before.kind, settings);
  await row.update({ ...asked, settings: JSON.stringify(settings), retiredAt }, { transaction });
  const after = await seen(row, now, transaction);
  const what =
    retired === undefined
      ? `${before.name}: ${Object.keys(asked).join(', ')} changed`
      : `${after.name} ${retired ? 'taken out of use' : 'in use again'}`;
  await noteChange({ by, at: now, subject: 'instruments', what, before, after }, transaction);
  return after;
}

/** Calibrated: from now on it is good until it is due again. */
export async function calibrateInstrument(
  { sequelize, by, now }: Moment,
  id: string,
  asked: z.output<typeof calibrationRequest>,
): Promise<SetupInstrument> {
  const { day, due, foundOffPercent, leftOffPercent, certificate } = asked;
  return oneAtATime(sequelize, async (transaction) => {
    const row = await found(id, transaction);
    await CalibrationRow.create(
      {
        ...{ instrumentId: id, day, due, certificate, at: now, person: JSON.stringify(by) },
        foundOff: foundOffPercent / 100,
        leftOff: leftOffPercent / 100,
      },
      { transaction },
    );
    await row.update({ calibrationDue: due }, { transaction });
    const what = `${row.name} calibrated on ${day}: found ${foundOffPercent} % off, left ${leftOffPercent} %`;
    await noteChange({ by, at: now, subject: 'instruments', what, after: asked }, transaction);
    return seen(row, now, transaction);
  });
}

const MOST = 200;

/** What an instrument read since it was last known to be good: since the calibration before the last one. */
export async function readSinceGood(id: string, units: UnitSystem): Promise<InstrumentReadings> {
  const [, before] = await lastTwo(id);
  const since = before?.day ?? null;
  const rows = await EventRow.findAll({
    where: { instrumentId: id, ...(since === null ? {} : { at: { [Op.gte]: since } }) },
    order: [['id', 'DESC']],
    limit: MOST + 1,
  });
  const jobs = await JobRow.findAll({ where: { id: [...new Set(rows.map(({ jobId }) => jobId))] } });
  const tags = new Map(jobs.map((job) => [job.id, job.tag]));
  const readings = rows.slice(0, MOST).flatMap((row) => {
    const entry = readEntry(toRaw(row));
    if (!entry.ok || !('step' in entry.value.body)) return [];
    return {
      job: row.jobId,
      tag: tags.get(row.jobId) ?? '',
      at: entry.value.at,
      step: entry.value.body.step.title,
      what: describeEntry(entry.value, units),
      by: entry.value.by.name,
    };
  });
  return { since, readings, more: rows.length > MOST };
}

async function found(id: string, transaction: Transaction): Promise<InstrumentRow> {
  const row = await InstrumentRow.findByPk(id, { transaction });
  if (!row) throw new Refusal({ code: 'not-found', what: 'instrument' });
  return row;
}
