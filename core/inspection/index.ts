export { siteRulesSchema, USUAL_RULES, type SiteRules } from './site-rules';
export { findingSchema, partRoleSchema, type Finding } from './finding';
export { METHODS, methodSchema, VERDICTS, verdictSchema, type Call, type Method, type Verdict } from './call';
export * from './judged';
export { wordReason, type Reason } from './reason';
export {
  callOnFeature,
  callOnFinding,
  callOnPolicy,
  callOnRunout,
  isSafetyPart,
  setOf,
  siteOr,
  stemLimit,
} from './rules';
export { QUESTIONS, SCHOOLS, USUAL_SCHOOLS, wayChosenSchema, type Question, type Schools } from './schools';
