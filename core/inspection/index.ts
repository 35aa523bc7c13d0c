export { siteRulesSchema, USUAL_RULES, type SiteRules } from './site-rules';
export { findingSchema, partRoleSchema, type Finding, type FindingKind } from './finding';
export { METHODS, methodSchema, VERDICTS, verdictSchema, type Call, type Method, type Verdict } from './call';
export { callOnFinding, callOnPolicy, callOnRunout, siteOr, stemLimit } from './rules';
