export {
  commandId,
  instrumentId,
  jobId,
  personId,
  valveId,
  type CommandId,
  type InstrumentId,
  type JobId,
  type PersonId,
  type ValveId,
} from './ids';
export { personStamp, ROLES, type PersonStamp, type Role } from './people';
export {
  counts,
  INSTRUMENT_KINDS,
  instrumentStamp,
  readBy,
  type InstrumentKind,
  type InstrumentStamp,
  type ReadBy,
} from './instrument';
export { STAGES, stepRef, type Stage, type StepRef } from './stage';
export { PRESSURE_TESTS, type PressureTest } from './events/pressure-tested';
export {
  describeEntry,
  entrySchema,
  EVENTS,
  isEventKind,
  type BodyOf,
  type Entry,
  type EntryOf,
  type EventKind,
  type Fact,
} from './registry';
export { readEntry, readLog } from './read-entry';
export {
  apply,
  EMPTY_JOB,
  fold,
  formatOf,
  openingOf,
  standingEntries,
  valveOf,
  type JobState,
} from './state';
export { callsOf, latestRunout, siteOf, stemRole, type StandingCall } from './calls';
