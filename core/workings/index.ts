export { fieldMeta, type FieldKind, type FieldMeta } from './field';
export {
  type Field,
  type Plain,
  type RegisteredWorking,
  type ResultValue,
  type Step,
  type Worked,
  type Working,
} from './working';
export { boltingTorque, nominalDiameter, stressArea, type BoltTorque } from './bolting-torque';
export { boltingSequence, crossPattern, type BoltSequence, type TighteningPass } from './bolting-sequence';
export { packingRings, type PackingRings } from './packing-rings';
export { stemRunout, type RunoutVerdict, type StemRunout } from './stem-runout';
export { testPressures, type TestPressures } from './test-pressures';
export { EDITION_NAMES, leakAllowance, type LeakAllowance } from './leak-allowance';
export { seatContact, type ContactVerdict, type SeatContact } from './seat-contact';
export { findWorking, searchWorkings, WORKINGS } from './registry';
