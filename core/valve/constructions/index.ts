import { BLOCK_VALVES } from './block';
import { CONTROL_VALVES, RELIEF_VALVES } from './control';

/** The constructions, by their stable identifier, with the words of the shop. */
export const CONSTRUCTIONS = { ...BLOCK_VALVES, ...CONTROL_VALVES, ...RELIEF_VALVES };

export type ConstructionId = keyof typeof CONSTRUCTIONS;

export const CONSTRUCTION_IDS = [
  'globe-bolted',
  'globe-yoke-clamp',
  'gate-wedge',
  'gate-slab-unitised',
  'plug-lubricated',
  'plug-eccentric',
  'check-recirculation',
  'check-swing',
  'ball-three-piece',
  'control-globe-double-seat',
  'control-balanced-cage',
  'control-ball-in-venturi',
  'control-rotary-eccentric',
  'control-butterfly',
  'control-lowpressure-diaphragm',
  'control-hygienic-seat',
  'dump-weight-lever',
  'regulator-self-acting',
  'relief-shear-pin',
  'solenoid-pilot',
  'relief-spring',
] as const satisfies readonly ConstructionId[];

export type { Construction } from './define';
