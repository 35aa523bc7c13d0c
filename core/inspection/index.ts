export { siteRulesSchema, USUAL_RULES, type SiteRules } from './site-rules';
export { findingSchema, partRoleSchema, type Finding } from './finding';
export { METHODS, methodSchema, VERDICTS, verdictSchema, type Call, type Method, type Verdict } from './call';
export * from './judged';
export { RULE_FIELDS, rulesChanged, wordRuleChange, type LengthRule, type RuleField } from './rule-fields';
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
