export { readNumberTable, type BrokenRows, type NumberTable } from './read-table';
export {
  mapColumns,
  RECORDING_ROLES,
  type ColumnMeaning,
  type MappedColumns,
  type RecordingColumns,
  type RecordingRole,
} from './roles';
export { pressureFrom, type PressureRecording } from './pressure';
export { rampFrom, strokeFrom } from './stroke';
