import { CalibrationRow } from './setup-models';

/** The last calibration of an instrument and the one before it: between their days its readings are in doubt. */
export const lastTwo = (instrumentId: string): Promise<CalibrationRow[]> =>
  CalibrationRow.findAll({
    where: { instrumentId },
    order: [
      ['day', 'DESC'],
      ['id', 'DESC'],
    ],
    limit: 2,
  });
