export {
  certificate,
  plateOf,
  type CallLine,
  type Certificate,
  type PlateLine,
  type TestLine,
  type TorqueTable,
} from './certificate';
export { isolationSheet, type IsolationSheet, type SheetEnergy, type SheetPoint } from './isolation-sheet';
export { importOf } from './imported';
