export { weekPlan, qualityOf, type Quality, type WeekPlan } from './answer';
export { boundsOf, type Bounds } from './bounds/bound';
export { faultsOf } from './check';
export { instanceOf, type Instance, type NoPlan } from './instance';
export { instant, bestRule, type Solved } from './engine/instant';
export { better } from './better';
export { byWindows } from './exact/windows';
export { curesOf, type Change, type Cure, type Evening, type Means } from './late/cures';
export { chanceBy, endBy, promise, type Promised, type Spread } from './late/promise';
export { lateJobs, type ChainLink, type LateJob } from './late/why-late';
export {
  openOn,
  weekOfShop,
  type Shop,
  type ShopDay,
  type ShopJob,
  type ShopPerson,
  type ShopPlace,
  type WeekHours,
} from './shop/shop';
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
} from './shop/job-operations';
export { planWeek, proveWeek, readWeek } from './solve';
export { weekFile, type Id, type Placing, type Week } from './week';
