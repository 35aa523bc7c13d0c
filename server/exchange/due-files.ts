import type { DueLine } from '@dusk-wren/contract';
import { toCalendar } from './calendar';
import { toCsv } from './csv';

/** A month before it is due is time to plan the job. */
const REMIND_DAYS = 30;

const placed = ({ customer, location }: DueLine): string => `${customer}, ${location}`;

/** The recall list as an iCalendar file, a day a valve. */
export const dueCalendar = (lines: readonly DueLine[], now: Date): string =>
  toCalendar(
    'Valves due',
    lines.map((line) => ({
      uid: `${line.id}@dusk-wren`,
      day: line.due.at,
      title: `${line.tag}: overhaul due`,
      body: [placed(line), [line.construction, line.size].filter(Boolean).join(' '), line.due.words].join(
        '\n',
      ),
      remindDays: REMIND_DAYS,
    })),
    now,
  );

const HEADING = [
  'tag',
  'serial',
  'customer',
  'place',
  'construction',
  'size',
  'due',
  'by',
  'because',
] as const;

/** And as CSV. */
export const dueCsv = (lines: readonly DueLine[]): string =>
  toCsv(
    HEADING,
    lines.map(({ tag, serial, customer, location, construction, size, due }) => [
      ...[tag, serial ?? '', customer, location, construction, size, due.at, due.kind, due.words],
    ]),
  );
