import type { SetupInstrument } from '@dusk-wren/contract';
import { CALIBRATION_SOON } from '@dusk-wren/core/job';
import { toCalendar } from './calendar';

/** Days of a week of which five are worked. */
const REMIND_DAYS = (CALIBRATION_SOON / 5) * 7;

/** The days that the instruments in use are due for calibration, as an iCalendar file. */
export const instrumentsDue = (instruments: readonly SetupInstrument[], now: Date): string =>
  toCalendar(
    'Calibrations due',
    instruments
      .filter(({ retired }) => !retired)
      .map(({ id, name, kind, serial, reach, calibrationDue }) => ({
        uid: `${id}@dusk-wren`,
        day: calibrationDue,
        title: `${name}: calibration due`,
        body: [kind, serial && `serial ${serial}`, reach].filter(Boolean).join(', '),
        remindDays: REMIND_DAYS,
      })),
    now,
  );
