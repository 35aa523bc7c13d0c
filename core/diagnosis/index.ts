export { CAUSE_IDS, CAUSES, causesOf, chainOf, LINKS, type CauseId, type Link } from './causes';
export { CHECK_IDS, checkOf, checksFor, likelihood, type CheckId } from './checks';
export { findFault, type Evidence, type Diagnosis, type NextCheck, type Suspect } from './finder';
export type { Gauges, Read, Sign, Situation } from './gauges';
export { priorsOf, SYMPTOM_IDS, SYMPTOMS, symptomsOf, type Counts, type SymptomId } from './symptoms';
