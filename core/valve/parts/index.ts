export {
  MATERIALS,
  PART_CATALOGUE,
  PART_KINDS,
  PART_ROLES,
  type Material,
  type PartKind,
  type PartPolicy,
  type PartRole,
} from './catalogue';
export { rolesByRoom, ROOMS, type Room } from './groups';
export { partsOf, type Part } from './parts';
