import type { FailureLine } from '@dusk-wren/contract';
import { FAILURE_MODES } from '@dusk-wren/core/life';
import { toCsv } from './csv';

const HEADING = [
  'tag',
  'serial',
  'customer',
  'construction',
  'signed',
  'failure mode',
  'mode in words',
  'failure mechanism',
  'failure cause',
  'as found',
  'hours',
  'job',
] as const;

const modeWords = (mode: string): string =>
  Object.entries(FAILURE_MODES).find(([code]) => code === mode)?.[1] ?? '';

/** Failures in the code of ISO 14224 as CSV. */
export const failuresCsv = (lines: readonly FailureLine[]): string =>
  toCsv(
    HEADING,
    lines.map((line) => [
      ...[line.tag, line.serial ?? '', line.customer, line.construction, line.signed],
      ...[line.mode, modeWords(line.mode), line.mechanism, line.cause, line.found, line.hours, line.job],
    ]),
  );
