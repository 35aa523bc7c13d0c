export { type CallLine } from './calls';
export { certificate, type Certificate } from './certificate';
export { evidence, type BlueRing, type Evidence, type RingPair } from './evidence';
export { importOf } from './imported';
export { isolationSheet, type IsolationSheet, type SheetEnergy, type SheetPoint } from './isolation-sheet';
export { plateOf, type PlateLine } from './plate';
export { type TestLine } from './pressure-tests';
export { type TorqueTable } from './torques';
