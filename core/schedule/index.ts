export { weekPlan, qualityOf, type Quality, type WeekPlan } from './answer';
export { boundsOf, type Bounds } from './bound';
export { faultsOf } from './check';
export { instanceOf, type Instance, type NoPlan } from './instance';
export { instant, bestRule, type Solved } from './instant';
export { better } from './better';
export type { Watch } from './watch';
export { runOn, type Outcome, type Solution, type Solver, type SolverPort } from './exact/solver';
export {
  operationsOf,
  PLACE_KINDS,
  WORK_SKILLS,
  type JobOperation,
  type OperationKind,
  type PlaceKind,
  type WorkSkill,
} from './job-operations';
export { planWeek, proveWeek, readWeek } from './solve';
export { weekFile, type Id, type Placing, type Week } from './week';
