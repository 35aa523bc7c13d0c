export { atRest, POSITIONER_SCREWS, type AtRest, type PositionerScrew, type Turned } from './at-rest';
export { Plant } from './plant';
export {
  actuatorOf,
  PER_TURN,
  plantOf,
  readBench,
  straightOf,
  turnScrew,
  type BenchReading,
  type PositionerOff,
  type ScrewTurns,
} from './plant-of';
