export { CONSTRUCTION_IDS, CONSTRUCTIONS, type Construction, type ConstructionId } from './constructions';
export {
  boltedJoint,
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
export { moverWords } from './mover-words';
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
