export {
  badgeRequest,
  badgeView,
  commandRequest,
  commandView,
  confirmationRequest,
  confirmationView,
  faultCountsView,
  firstLeadRequest,
  instrumentsView,
  instrumentView,
  jobBroughtIn,
  jobExport,
  jobLine,
  jobListQuery,
  jobListView,
  jobSummaryView,
  jobView,
  likeQuery,
  likeView,
  liveMessage,
  openJobRequest,
  openJobView,
  paperCodeView,
  paperView,
  peopleView,
  personView,
  controlRequest,
  readingMessage,
  readingQuery,
  screwEffectsQuery,
  screwEffectsView,
  sessionView,
  signInRequest,
  staleView,
  valveLine,
  valveListQuery,
  customersView,
  valveListView,
  type ValveLine,
  type InstrumentControl,
  type InstrumentView,
  type JobExport,
  type JobLine,
  type JobView,
  type OpenJobRequest,
  type PaperView,
  type PersonView,
  type ReadingMessage,
  type SessionView,
} from './api';
export { problemBody, type AnyProblem, type AnyProblemCode, type HostProblem } from './http-problem';
export { instrumentTrouble, sayTrouble, type InstrumentTrouble } from './instrument-trouble';
export * from './machine-scopes';
export * from './machines';
export * from './recordings';
export * from './setup';
export * from './places';
export * from './setup-files';
export * from './sheets';
export * from './fleet';
export * from './valves';
export { csvText, previewedRow, type PreviewedRow } from './row-by-row';
