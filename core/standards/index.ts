export { COMMON_PRACTICE, describeSource, siteRule, standard, type Source, type Standing } from './source';
export { dnOf, formatSize, NOMINAL_SIZES, parseSize, type NominalSize } from './nominal-size';
export {
  B16_34,
  GROUP_NAMES,
  MATERIAL_GROUPS,
  PRESSURE_CLASSES,
  RATING_AT_100F,
  ratingAt100F,
  type MaterialGroup,
  type PressureClass,
} from './asme-b16-34';
export {
  API_598,
  API_598_EDITIONS,
  CLOSURE_FACTOR,
  DROPS_PER_ML,
  FLAT_OVER_12,
  HOLD_SECONDS,
  LOW_PRESSURE_CLOSURE_PSIG,
  METAL_SEAT_LEAKAGE,
  PER_INCH,
  SHELL_FACTOR,
  SHELL_ROUNDING_PSI,
  type Api598Edition,
} from './api-598';
export { B1_1, ISO_898_1, parseThread, STUD_THREADS, type Thread } from './asme-b1-1';
export { CROSS_PATTERNS, PCC_1, TIGHTENING_PASSES, type TighteningPasses } from './asme-pcc-1';
export {
  A193,
  NUT_FACTOR_SCATTER,
  NUT_FACTORS,
  STUD_MATERIALS,
  STUD_YIELD_KSI,
  studYieldKsi,
  type StudMaterial,
} from './stud-material';
export {
  COMPRESSION,
  INCH_SECTIONS,
  METRIC_SECTIONS_MM,
  PACKING_PRACTICE,
  PACKING_STYLES,
  SNUG_WITHIN_IN,
  type PackingStyle,
} from './packing-section';
