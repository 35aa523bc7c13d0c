export { CONSTRUCTION_IDS, CONSTRUCTIONS, type Construction, type ConstructionId } from './constructions';
export {
  boltedJoint,
  closesByAir,
  featuresSchema,
  metalSeatOf,
  opensByAir,
  packedBox,
  type BalancedPlug,
  type BoltedBonnet,
  type ClampedYoke,
  type ClosureKind,
  type ClosureOf,
  type DiaphragmOnStem,
  type Features,
  type HygienicCylinder,
  type Joint,
  type JointKind,
  type JointOf,
  type MoverKind,
  type MoverOf,
  type Piston,
  type PositionerKind,
  type RawFeatures,
  type RollingDiaphragm,
  type SealRingBonnet,
  type SetSpring,
  type SpringDiaphragm,
  type ReliefDisc,
  type SpringRegulator,
  type SwingDisc,
  type VaneArm,
  type WeightLever,
} from './features';
export { closureOf, relieves, type Closure, type Contact } from './closures';
export { jointOf } from './joints';
export { moverOf, moversHolding, type HeldSpring, type Mover } from './movers';
export { positionerOf } from './positioners';
export { checkFeatures } from './combinations';
export { choicesOf, withChoice, type FeatureChoice } from './choices';
export { blankDraft, ofConstruction, valveFrom, withoutPlate, withPlate, type ValveDraft } from './new-valve';
export { plateDoubt, type PlateDoubt } from './plate-doubt';
export {
  likeness,
  LIKENESSES,
  plateKey,
  readPlate,
  type Likeness,
  type PlateRead,
  type PlateReading,
} from './plate-reader';
export { LONGEST_WORD, typedWords, valveWords, type ValveWords } from './valve-words';
export {
  laidSpare,
  matchSpares,
  mismatches,
  SPARE_KINDS,
  type LaidSpare,
  type SpareLine,
} from './spares-match';
export {
  makersGlandTorque,
  makersJointTorque,
  makersSheet,
  makersStemTir,
  makersLength,
  makersTorque,
  SHEET_LENGTHS,
  TORQUE_PLACES,
  sheetKey,
  type MakersFigure,
  type MakersSheet,
  type SheetLength,
  type TorquePlace,
} from './makers-sheet';
export {
  asFigures,
  figuresOn,
  SHEET_FIGURES,
  type GivenFigure,
  type SheetFigure,
  type TypedFigure,
} from './sheet-figures';
export { moverWords } from './mover-words';
export { protectionFor, type Protection } from './protection';
export { HAZARD_IDS, HAZARDS, type Hazard } from './medium';
export { ratingWords } from './rating';
export { sizeWords } from './size-words';
export { SIGNAL_RANGES, signalAt, signalOf, signalSpan, type Acting, type SignalRangeName } from './signal';
export { bareFeatures, defaultValve, ENDS, endsOf, valveSchema, type Ends, type Valve } from './valve';
export {
  asksOf,
  questionOf,
  detailsSchema,
  withDetails,
  type Ask,
  type DetailId,
  type DetailKind,
  type Details,
} from './details';
export * from './parts';
export { asReversed, resulting, reversible, toReverse, type Reversible } from './reversal';
export {
  SHELF_UNIT_KINDS,
  SHELF_UNITS,
  unitRoles,
  unitsFor,
  valveKey,
  wordKey,
  type ShelfUnitKind,
} from './shelf-unit';
