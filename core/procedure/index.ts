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
  type Opening,
} from './draft';
export { consumableOf, type ConsumableName } from './consumables';
export { toolOf, type ToolName } from './tools';
export { lookOf } from './every-job/looks';
export { FRAGMENTS } from './fragments';
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
