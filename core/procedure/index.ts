export { CAUTIONS, DEFER } from './cautions';
export {
  draft,
  rule,
  type Because,
  type Context,
  type Draft,
  type Fragment,
  type LookChoice,
  type MeasureAsk,
  type Opening,
  type Shown,
  type Task,
  type TaskOf,
} from './draft';
export { meets } from './meets';
export { FRAGMENTS } from './fragments';
export { inService } from './service';
export { pressureTests } from './fragments/tests';
