export { AS_FOUND, POPS } from './blocks/relief-tests';
export { putRightStep } from './every-job/left-for-now';
export { LEAK_WHEN_SHUT } from './every-job/as-found';
export { CAUTIONS, DEFER } from './cautions';
export {
  always,
  draft,
  rule,
  type Because,
  type Context,
  type Draft,
  type Fragment,
  type IsolationPart,
  finding,
  type Opening,
  type Outcome,
  type Reopened,
} from './draft';
export { consumableOf, type ConsumableName } from './consumables';
export { toolOf, type ToolName } from './tools';
export { lookOf } from './every-job/looks';
export { FRAGMENTS } from './fragments';
export { isolatedFor, scopeProcedure, scopesOf, worksOn, type Isolated, type ScopeProcedure } from './scopes';
export { placesOf, reachedOutOfLine } from './places';
export { hasOwnAir, isolationOf } from './every-job/isolation/isolated';
export { inService } from './service';
export {
  isStepName,
  MILESTONES,
  spelt,
  stepName,
  type Milestone,
  type Relation,
  type StepName,
} from './relations';
