export { placingOf, weekPlan, qualityOf, type Quality, type WeekPlan } from './answer';
export { boundsOf, type Bounds } from './bounds/bound';
export { faultsOf } from './check';
export {
  jobOperation,
  OPERATION_KINDS,
  operationsOf,
  PLACE_KINDS,
  type JobOperation,
  WORK_SKILLS,
  type OperationKind,
  type PlaceKind,
  type WorkSkill,
} from './shop/job-operations';
export {
  findingOfWeek,
  gapsOf,
  openOn,
  weekOfShop,
  workSkillsOf,
  type Gaps,
  type OpenDay,
  type Shop,
  type ShopPerson,
  type ShopPlace,
  type WeekHours,
} from './shop/shop';
export { jobInWeek, midnightOf, type ShopDay, type ShopJob } from './shop/job-in-week';
export { factorFor, factorOf, LEAST_LEARNED, LEARNED_FROM, ratiosOf, type Ratio } from './shop/learned';
export { chanceBy, promise } from './late/promise';
export { byRisk, type Candidate } from './outage/risk';
export { fitInto, type Asked, type Fitted, type Unfit } from './outage/fits';
export { grouped } from './grouped';
export { instanceOf, type Instance, type NoPlan } from './instance';
export { instant, bestRule, NO_CLOCK, type Solved } from './engine/instant';
export { byWindows } from './exact/windows';
export { curesOf, type Change, type Cure, type Evening, type Means } from './late/cures';
export { differenceOf, latenessOf, type Difference, type Shifted } from './late/difference';
export { lateJobs, type LateJob } from './late/why-late';
export { placedAs } from './read-plan';
export type { Watch } from './watch';
export { runOn, type Outcome, type Solution, type Solver, type SolverPort } from './exact/solver';
export { compare } from './score';
export { betterThan, judged, planWeek, proveWeek, readWeek } from './solve';
export { weekFile, type Id, type Placing, type Week, type WeekJob } from './week';
