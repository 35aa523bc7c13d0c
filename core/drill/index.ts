export { DRILL_IDS, drillId, hintsAt, LEVELS, levelSchema, type DrillId, type Level } from './frame/ids';
export { HINT_COSTS, marksOf, PASS, type MarkLine, type Marks } from './frame/marks';
export { ticketSchema, valveOfDrill, type Ticket } from './frame/ticket';
export { exerciseOf, MOST_MOVES, type Drill, type DrillKind, type Said, type Sitting } from './frame/drill';
export { shuffled } from './frame/shuffled';
export { ALL_DRILLS, DRILLS } from './kinds';
export * from './kinds/comes-off-next';
export * from './kinds/make-it-dead';
export * from './kinds/where-is-the-fault';
export * from './kinds/read-the-ring';
export * from './kinds/straight-or-bent';
export * from './kinds/bolt-it';
export * from './kinds/in-the-bag';
export * from './kinds/which-screw';
export * from './kinds/set-it';
export * from './kinds/fit-or-not';
export type { Done } from './learning/attempt';
export { nextLevel } from './learning/level';
export { practiceOf, type Practice } from './learning/practice';
export { wantingOf, type AskedFor, type Wanting } from './learning/qualified';
export { FADED_BELOW, LAST, skillIn, skillsOf, STANDINGS, type Skill, type Standing } from './learning/skill';
export {
  constructionsFor,
  dueToday,
  ROUND_MINUTES,
  roundOf,
  ticketFor,
  type DueToday,
} from './learning/round';
