export { Plant } from './plant';
export {
  actuatorOf,
  plantOf,
  readBench,
  turnScrew,
  type BenchReading,
  type PositionerOff,
  type ScrewTurns,
} from './plant-of';
