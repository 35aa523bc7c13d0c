import { arriveTask, type ArriveTask } from './arrive';
import { askTask, type AskTask } from './ask';
import { bluingTask, type BluingTask } from './bluing';
import { boltUpTask, type BoltUpTask } from './bolt-up';
import { doTask, type DoTask } from './do';
import { holdTask, type HoldTask } from './hold';
import { lappingTask, type LappingTask } from './lapping';
import { lineTask, type LineTask } from './line';
import { lockTask, type LockTask } from './lock';
import { lookTask, type LookTask } from './look';
import { makersSheetTask, type MakersSheetTask } from './makers-sheet';
import { marksTask, type MarksTask } from './marks';
import { measureTask, type MeasureTask } from './measure';
import { orderTask, type OrderTask } from './order';
import { packingTask, type PackingTask } from './packing';
import { placeTask, type PlaceTask } from './place';
import { pressureTestTask, type PressureTestTask } from './pressure-test';
import { runoutTask, type RunoutTask } from './runout';
import { signTask, type SignTask } from './sign';
import { signOffTask, type SignOffTask } from './sign-off';
import { sparesTask, type SparesTask } from './spares';
import { strokeTestTask, type StrokeTestTask } from './stroke-test';
import { unlockTask, type UnlockTask } from './unlock';
import { wantsTask, type WantsTask } from './wants';
import { wayRoundTask, type WayRoundTask } from './way-round';
import type { Entry } from '../job';
import type { Hands, PlainCommand, StepFacts, TaskKind } from './task-kind';

/** What the bench shows for a step. */
export type Task =
  | DoTask
  | WantsTask
  | PlaceTask
  | MarksTask
  | WayRoundTask
  | SparesTask
  | MakersSheetTask
  | LineTask
  | LockTask
  | UnlockTask
  | SignOffTask
  | AskTask
  | LookTask
  | MeasureTask
  | RunoutTask
  | BluingTask
  | LappingTask
  | PackingTask
  | BoltUpTask
  | PressureTestTask
  | StrokeTestTask
  | OrderTask
  | ArriveTask
  | HoldTask
  | SignTask;

export type TaskOf<K extends Task['kind']> = Extract<Task, { kind: K }>;

const TASKS: { readonly [K in Task['kind']]: TaskKind<TaskOf<K>> } = {
  do: doTask,
  wants: wantsTask,
  place: placeTask,
  marks: marksTask,
  'way-round': wayRoundTask,
  spares: sparesTask,
  'makers-sheet': makersSheetTask,
  line: lineTask,
  lock: lockTask,
  unlock: unlockTask,
  'sign-off': signOffTask,
  ask: askTask,
  look: lookTask,
  measure: measureTask,
  runout: runoutTask,
  bluing: bluingTask,
  lapping: lappingTask,
  packing: packingTask,
  'bolt-up': boltUpTask,
  'pressure-test': pressureTestTask,
  'stroke-test': strokeTestTask,
  order: orderTask,
  arrive: arriveTask,
  hold: holdTask,
  sign: signTask,
};

/** What kind of task it is. */
export const taskKind = ({ kind }: Task): TaskKind<Task> => TASKS[kind];

/** The entry that finished a task, or undefined while it is open. */
export const finishedBy = (task: Task, facts: StepFacts): Entry | undefined =>
  taskKind(task).finishedBy(task, facts);

/** The commands that do a task plainly now. */
export const plainly = (task: Task, hands: Hands): readonly PlainCommand[] =>
  taskKind(task).plainly(task, hands);

export { boltProgress, type BoltProgress, type ClickVerdict, type JudgedClick } from './bolt-up';
export { noteOf } from './do';
export type { LapsAgainst } from './lapping';
export type { LookChoice } from './look';
export { huntingAdvice, responseAdvice, type GainAdvice } from './gain-advice';
export { screwsOf, type Live } from './live';
export { lastTurned, nextPop, turnedSincePop, type LeverFigures, type Pops, type Turned } from './pops';
export {
  BENCH_GAUGES,
  roundsOf,
  turnedSince,
  type BenchGauge,
  type Round,
  type Stroked,
  type StrokedRead,
  travelReadAt,
} from './stroked';
export { regulatedAdvice, type Regulated } from './regulated';
export {
  RESPONSE,
  RESPONSE_STEPS,
  responseRun,
  STEP_FIGURES,
  stepFigure,
  type Move,
  type Moved,
  type Response,
} from './response';
export { SWEPT_ENDS, sweptAdvice, type Swept, type SweptEnd } from './swept';
export { weightAdvice, type WeightAdvice } from './weight-advice';
export { NOTHING_TAUGHT, screwEffectsIn, type ScrewEffect, type Taught } from './screw-effects';
export { screwAdvice, type ScrewAdvice } from './stroked-advice';
export {
  CLEAR_OF_STOPS,
  strokeVerdicts,
  workedStroke,
  type StrokeTestTask,
  type StrokeVerdict,
} from './stroke-test';
export { wantedWords } from './wanted-words';
export { meansOf } from './means';
export { apartBy } from './measure';
export { standsAs } from './stands-as';
export { meets } from './meets';
export type { MeanOf, MeasureAsk, Wanted } from './measure-ask';
export type { MeasureTask } from './measure';
export type { PackingTask } from './packing';
export { leakCauses, type LeakCause } from './leak-causes';
export { reopenedBy } from './reopened';
export { asFlow, outcomeOf, passed, untracedLeak, type TestOutcome } from './pressure-test';
export { wantedRound, type RoundAsk, type WayRoundTask } from './way-round';
export type { Shown } from './shown';
export { StepFacts, type Hands, type PlainCommand } from './task-kind';
