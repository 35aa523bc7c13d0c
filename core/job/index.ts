export {
  commandId,
  instrumentId,
  jobId,
  personId,
  photoId,
  valveId,
  type CommandId,
  type InstrumentId,
  type JobId,
  type PersonId,
  type PhotoId,
  type ValveId,
} from './ids';
export {
  carriedSchema,
  courseSchema,
  foundSchema,
  NOTHING_CARRIED,
  temporarySchema,
  type Carried,
  type Course,
  type CoursePoint,
  type Found,
  type Temporary,
} from './carried';
export { personStamp, ROLES, type PersonStamp, type Role } from './people';
export {
  CALIBRATION_SOON,
  counts,
  INSTRUMENT_KINDS,
  instrumentStamp,
  readBy,
  type InstrumentKind,
  type InstrumentStamp,
  type ReadBy,
} from './instrument';
export { LONGEST_TITLE, STAGES, stepRef, type Stage, type StepRef } from './stage';
export { PRESSURE_TESTS, type PressureTest } from './events/pressure-tested';
export {
  describeEntry,
  wordEntry,
  entrySchema,
  EVENTS,
  isEventKind,
  type BodyOf,
  type Entry,
  type EntryOf,
  type EventKind,
  type Fact,
  type StepEventKind,
} from './registry';
export { measuredLast } from './measured-last';
export { SCREWS, type Screw } from './events/screw-turned';
export { LEAK_SOURCES, type LeakSource } from './events/leak-traced';
export { MOST_POINTS } from './events/curve-kept';
export { PLACE_WORDS, PLACES, type Place } from './places';
export { placeOf } from './place';
export { SCOPE_WORDS, SCOPES, type Scope } from './scopes';
export { scopeOf } from './scope';
export { metalOff, valveAsLeft, valveWorkedOn } from './worked-on';
export { LOTS } from './events/part-laid';
export { ROUNDS, wayRoundOn, waysOf, wayWanted, type RoundOf } from './ways-round';
export { apartDegrees, markOf, MARKS_MEET_DEGREES } from './marks';
export { evidenceOn } from './evidence';
export { lineOf } from './line';
export { rememberedByReads } from './remembered';
export { hangingLocks } from './locks';
export { nextNumber } from './next-number';
export { fallsWith } from './signatures';
export { didWork } from './work';
export { filedSheet, plateNamesModel, type FiledSheet } from './sheets';
export { readEntry, readLog } from './read-entry';
export {
  apply,
  EMPTY_JOB,
  fold,
  formatOf,
  onStep,
  openingOf,
  standingEntries,
  stepIdOf,
  valveOf,
  type JobState,
} from './state';
