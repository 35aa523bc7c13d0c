export { asFoundOf, type AsFound } from './as-found';
export { carriedFrom, carry } from './carry';
export { FAILURE_MODES, failureCode, type FailureCode, type FailureMode } from './codes';
export { DUE_KINDS, dueAfter, duesCarried, duesOf, intervalOf, soonest, type Due, type DueKind } from './due';
export { livedOf, livedSchema, RENEWED_FOR, type Lived } from './lived';
export { measuresOf, type Measure } from './measures';
export { shelfDue } from './shelf-life';
export { partLives, type PartLife } from './part-lives';
export { meetsOf, wornOf, type Meets } from './meets';
