export { Plant } from './plant';
export {
  plantOf,
  readBench,
  turnScrew,
  type BenchReading,
  type PositionerOff,
  type ScrewTurns,
} from './plant-of';
