export { plan, stageOf, stepOf, type Plan, type PlannedStep, type Wait } from './plan';
export { type Signing } from './signatures';
export { ordered, type Placed } from './order';
export { blockedSchema, wordBlocked, type Blocked } from './blocked';
export { summarise, type JobSummary } from './summary';
export { awaitedBy, readyBy, type Awaited } from './ready-by';
export { SHOP_HOURS, workingDaysBefore, workingDaysFrom } from './working-days';
export { stripOrder, trayPlaces } from './tray';
export { handOver, type HandOver, type OnTray } from './hand-over';
