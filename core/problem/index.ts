export { atLeastOne, handle } from './by-kind';
export type { Figure, InputIssue, Problem, ProblemCode } from './problem';
export { must, ok, refuse, type Result } from './result';
export { issuesFromZod } from './from-zod';
export { inConflict, notInTable, outOfRange, tooFew } from './refusals';
