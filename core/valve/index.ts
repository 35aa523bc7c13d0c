export { CONSTRUCTION_IDS, CONSTRUCTIONS, type ConstructionId } from './construction';
export { featuresSchema, GLOBE_BOLTED_FEATURES, type Features } from './features';
export { HAZARD_IDS, HAZARDS, type Hazard } from './medium';
export { defaultValve, valveSchema, type Valve } from './valve';
export {
  asksOf,
  detailsSchema,
  withDetails,
  type Ask,
  type DetailId,
  type DetailKind,
  type Details,
} from './details';
export { PART_ROLES, partsOf, type Part, type PartPolicy, type PartRole } from './parts';
