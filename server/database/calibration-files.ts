import type { Transaction } from 'sequelize';
import { Refusal } from '../refusal';
import { InstrumentRow } from './models';
import { noteChange, type Moment } from './setup-changes';
import { CalibrationFileRow, CalibrationRow } from './setup-models';
import { oneAtATime } from './transacted';

/** A certificate on paper, as a file. */
export interface CertificateFile {
  readonly name: string;
  readonly type: string;
  readonly body: Buffer;
}

/** Keeps the certificate of a calibration with it, in place of the one before. */
export async function keepCertificate(
  { sequelize, by, now }: Moment,
  { instrument, calibration }: { readonly instrument: string; readonly calibration: number },
  file: CertificateFile,
): Promise<void> {
  await oneAtATime(sequelize, async (transaction) => {
    const [row, done] = await Promise.all([
      InstrumentRow.findByPk(instrument, { transaction }),
      CalibrationRow.findOne({ where: { id: calibration, instrumentId: instrument }, transaction }),
    ]);
    if (!row || !done) throw new Refusal({ code: 'not-found', what: 'calibration' });
    await CalibrationFileRow.upsert({ calibrationId: calibration, ...file }, { transaction });
    const what = `${row.name}: certificate ${done.certificate} attached, ${file.name}`.slice(0, 200);
    await noteChange({ by, at: now, subject: 'instruments', what }, transaction);
  });
}

export async function findCertificate(instrument: string, calibration: number): Promise<CertificateFile> {
  const done = await CalibrationRow.findOne({ where: { id: calibration, instrumentId: instrument } });
  const row = done && (await CalibrationFileRow.findByPk(calibration));
  if (!row) throw new Refusal({ code: 'not-found', what: 'certificate' });
  return row;
}

/** The names of the certificates that are kept, by the calibration that each is of. */
export async function certificateNames(
  calibrations: readonly number[],
  transaction: Transaction | null = null,
): Promise<ReadonlyMap<number, string>> {
  const rows = await CalibrationFileRow.findAll({
    where: { calibrationId: [...calibrations] },
    attributes: ['calibrationId', 'name'],
    transaction,
  });
  return new Map(rows.map(({ calibrationId, name }) => [calibrationId, name]));
}
