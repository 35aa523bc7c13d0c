export { Plant } from './plant';
export {
  actuatorOf,
  plantOf,
  readBench,
  straightOf,
  turnScrew,
  type BenchReading,
  type PositionerOff,
  type ScrewTurns,
} from './plant-of';
