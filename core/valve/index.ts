export { CONSTRUCTION_IDS, CONSTRUCTIONS, type Construction, type ConstructionId } from './constructions';
export {
  boltedJoint,
  closesByAir,
  featuresSchema,
  metalSeatOf,
  packedBox,
  type ClosureKind,
  type Features,
  type Joint,
  type MoverKind,
  type MoverOf,
  type RawFeatures,
} from './features';
export { checkFeatures, fitsOf } from './combinations';
export { choicesOf, withChoice, type FeatureChoice } from './choices';
export { airMoved } from './air-moved';
export {
  likeness,
  LIKENESSES,
  plateKey,
  readPlate,
  type Likeness,
  type PlateRead,
  type PlateReading,
} from './plate-reader';
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
  sheetKey,
  type MakersFigure,
  type MakersSheet,
} from './makers-sheet';
export { moverWords } from './mover-words';
export { protectionFor, type Protection } from './protection';
export { HAZARD_IDS, HAZARDS, type Hazard } from './medium';
export { bareFeatures, defaultValve, valveSchema, type Valve } from './valve';
export {
  asksOf,
  detailsSchema,
  withDetails,
  type Ask,
  type DetailId,
  type DetailKind,
  type Details,
} from './details';
export * from './parts';
export {
  SHELF_UNIT_KINDS,
  SHELF_UNITS,
  unitRoles,
  unitsFor,
  valveKey,
  type ShelfUnitKind,
} from './shelf-unit';
