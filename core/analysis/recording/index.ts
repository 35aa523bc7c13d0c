export { readNumberTable, type BrokenRows, type NumberTable } from './read-table';
export {
  mapColumns,
  RECORDING_ROLES,
  type ColumnMeaning,
  type MappedColumns,
  type RecordingColumns,
  type RecordingRole,
} from './roles';
export { rampFrom, strokeFrom } from './stroke';
