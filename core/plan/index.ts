export { plan, stageOf, stepOf, type Plan, type PlannedStep, type Wait } from './plan';
export { type Signing } from './signatures';
export { finishedBy, passed } from './done';
export { ordered, type Placed } from './order';
export { boltProgress, type BoltProgress, type ClickVerdict, type JudgedClick } from './bolt-progress';
export { summarise, type Blocked, type JobSummary } from './summary';
export { awaitedBy, readyBy, SHOP_HOURS, workingDaysFrom, type Awaited } from './ready-by';
export { stripOrder, trayPlaces } from './tray';
export { handOver, type HandOver, type OnTray } from './hand-over';
