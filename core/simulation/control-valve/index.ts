export { Plant } from './plant';
export {
  offOf,
  plantOf,
  readBench,
  turnScrew,
  type BenchReading,
  type PositionerOff,
  type ScrewTurns,
} from './plant-of';
