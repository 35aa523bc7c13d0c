export { fieldMeta, type Column, type FieldKind, type FieldMeta } from './field';
export {
  onDay,
  type Field,
  type Plain,
  type RegisteredWorking,
  type ResultValue,
  type Step,
  type Worked,
  type Working,
} from './working';
export { boltingStressArea, nominalDiameter, stressArea, type StressArea } from './bolting-stress-area';
export { boltingTorque, type BoltTorque } from './bolting-torque';
export { boltingSequence, crossPattern, type BoltSequence, type TighteningPass } from './bolting-sequence';
export { packingRings, type PackingRings } from './packing-rings';
export { packingGland, type GlandLoad } from './packing-gland';
export { stemRunout, type RunoutVerdict, type StemRunout } from './stem-runout';
export { testPressures, type TestPressures } from './test-pressures';
export { leakAllowance } from './leak-allowance';
export type { LeakAllowance } from './leakage/allowance';
export { seatContact, type ContactVerdict, type SeatContact } from './seat-contact';
export { elastomerCompatibility } from './elastomer-compatibility';
export { findWorking, searchWorkings, SUBJECTS, WORKINGS, type Subject } from './registry';
export { answerFrom, readSignature, type AnalysedRecording, type SignatureAnswer } from './signature-analyse';
export { answerLines, isList, isQuantity, isRow, type AnswerLine } from './answer-lines';
export { actuatorBalance, type ActuatorBalance } from './actuator-balance';
export { oringFit, type ORingFit } from './oring-fit';
export { positionerStroke, percentPoints, type StrokeTest } from './positioner-stroke';
export { storedEnergy } from './stored-energy';
export { reliefSet, type ReliefSet } from './relief-set';
export { contactFrom, type BluingRead } from './bluing-read';
