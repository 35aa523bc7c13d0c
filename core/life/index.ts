export { carriedFrom, carry } from './carry';
export { FAILURE_MODES, failureCode } from './codes';
export { dueAfter, duesCarried, dueSchema, intervalOf, soonest, type Due } from './due';
export { livedOf, livedSchema, type Lived, type LivedJob } from './lived';
export { meetsOf, wornOf, type Meets } from './meets';
export { partLives } from './part-lives';
export { shelfDue } from './shelf-life';
