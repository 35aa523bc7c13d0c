import type { Operation } from '../operation';
import { JOB_OPERATIONS } from './jobs';
import { MACHINE_OPERATIONS } from './machines';
import { PAPER_OPERATIONS } from './papers';
import { SESSION_OPERATIONS } from './session';
import { STORE_OPERATIONS } from './store';
import { VALVE_OPERATIONS } from './valves';
import { WEEK_OPERATIONS } from './week';

/** Everything that is open to other programs. What is not here serves our own pages alone, and may change with them. */
export const OPERATIONS: readonly Operation[] = [
  ...SESSION_OPERATIONS,
  ...JOB_OPERATIONS,
  ...PAPER_OPERATIONS,
  ...VALVE_OPERATIONS,
  ...STORE_OPERATIONS,
  ...WEEK_OPERATIONS,
  ...MACHINE_OPERATIONS,
];
