export { fieldMeta, type Column, type FieldKind, type FieldMeta } from './frame/field';
export {
  onDay,
  type Field,
  type Plain,
  type RegisteredWorking,
  type ResultValue,
  type Step,
  type Worked,
  type Working,
} from './frame/working';
export {
  boltingStressArea,
  nominalDiameter,
  stressArea,
  type StressArea,
} from './bolting/bolting-stress-area';
export { latheSpeed } from './seats/lathe-speed';
export { boltingCrowfoot } from './bolting/bolting-crowfoot';
export { boltingTorque, type BoltTorque } from './bolting/bolting-torque';
export {
  boltingSequence,
  crossPattern,
  type BoltSequence,
  type TighteningPass,
} from './bolting/bolting-sequence';
export { packingRings, type PackingRings } from './seals/packing-rings';
export { packingGland, type GlandLoad } from './seals/packing-gland';
export { stemRunout, type RunoutVerdict, type StemRunout } from './measuring/stem-runout';
export { testPressures, type TestPressures } from './pressure/test-pressures';
export { leakAllowance } from './pressure/leak-allowance';
export { AS_FOUND_OUTCOMES, intervalNext } from './decisions/interval-next';
export { liftingSling } from './decisions/lifting-sling';
export { mediumHazard } from './decisions/medium-hazard';
export { repairOrRenew } from './decisions/repair-or-renew';
export type { LeakAllowance } from './pressure/leakage/allowance';
export { seatContact, type ContactVerdict, type SeatContact } from './seats/seat-contact';
export { elastomerCompatibility, inDateUntil } from './seals/elastomer-compatibility';
export { findWorking, searchWorkings, SUBJECTS, WORKINGS, type Subject } from './frame/registry';
export {
  answerFrom,
  readSignature,
  type AnalysedRecording,
  type SignatureAnswer,
} from './actuators/signature-analyse';
export { isWorkingVerdict, type WorkingVerdict } from './frame/verdict';
export { answerLines, isList, isQuantity, isRow, type AnswerLine } from './frame/answer-lines';
export { actuatorBenchSet } from './actuators/bench-set';
export { actuatorSeatLoad } from './actuators/actuator-seat-load';
export { actuatorBalance, type ActuatorBalance } from './actuators/actuator-balance';
export { oringFit, type ORingFit } from './seals/oring-fit';
export { positionerStroke, percentPoints, type StrokeTest } from './actuators/positioner-stroke';
export { storedEnergy } from './pressure/stored-energy';
export { reliefSet, type ReliefSet } from './relief/relief-set';
export { reliefTestSheet } from './relief/relief-test-sheet';
export { contactFrom, type BluingRead } from './seats/bluing-read';
export { boreWear, type BoreWear } from './measuring/bore-wear';
export { fitClearance } from './measuring/fit-clearance';
export { springLength } from './measuring/spring-length';
export { stemWear } from './measuring/stem-wear';
export { seatWedgeDrop } from './seats/wedge-drop';
export { seatRings, PLUG_COMES_OUT } from './seats/seat-rings';
export { turningTorque } from './actuators/turning-torque';
export { leakConvert, type BubbleTube } from './pressure/leak-convert';
export { actuatorCoupling, type Coupling } from './actuators/coupling';
export { actuatorBenchSweep, benchWithin } from './actuators/bench-sweep';
export { settingTurns, type SettingTurns } from './actuators/setting-turns';
export { positionerScrews, type PositionerScrews } from './actuators/positioner-screws';
export { regulatorLockUp } from './pressure/regulator-lock-up';
export { leverWeight, type LeverWeight } from './relief/lever-weight';
export { followed, lifeTrend } from './life/life-trend';
export { lifeSurvival } from './life/life-survival';
export { stockOrderPoint } from './life/order-point';
export { agesIn } from './life/ages-asked';
