import type { PlannedStep } from '@dusk-wren/core/plan';
import type { Task, TaskOf } from '@dusk-wren/core/task';
import type { Component } from 'vue';
import AskTask from './AskTask.vue';
import BluingTask from './BluingTask.vue';
import BoltUpTask from './BoltUpTask.vue';
import DoTask from './DoTask.vue';
import HoldTask from './HoldTask.vue';
import LappingTask from './LappingTask.vue';
import LineTask from './LineTask.vue';
import LockTask from './LockTask.vue';
import LookTask from './LookTask.vue';
import MakersSheetTask from './MakersSheetTask.vue';
import MarksTask from './MarksTask.vue';
import MeasureTask from './MeasureTask.vue';
import PackingTask from './PackingTask.vue';
import PartTask from './PartTask.vue';
import PlaceTask from './PlaceTask.vue';
import PressureTestTask from './PressureTestTask.vue';
import RunoutTask from './RunoutTask.vue';
import SignOffTask from './SignOffTask.vue';
import SignTask from './SignTask.vue';
import SparesTask from './SparesTask.vue';
import StrokeTestTask from './StrokeTestTask.vue';
import WayRoundTask from './WayRoundTask.vue';
import WantsTask from './WantsTask.vue';

const COMPONENTS = {
  do: DoTask,
  place: PlaceTask,
  marks: MarksTask,
  'way-round': WayRoundTask,
  spares: SparesTask,
  'makers-sheet': MakersSheetTask,
  line: LineTask,
  lock: LockTask,
  unlock: LockTask,
  'sign-off': SignOffTask,
  ask: AskTask,
  wants: WantsTask,
  look: LookTask,
  measure: MeasureTask,
  runout: RunoutTask,
  bluing: BluingTask,
  lapping: LappingTask,
  packing: PackingTask,
  'bolt-up': BoltUpTask,
  'pressure-test': PressureTestTask,
  'stroke-test': StrokeTestTask,
  order: PartTask,
  arrive: PartTask,
  hold: HoldTask,
  sign: SignTask,
};

/** The component itself where it takes the step and a task of this kind, else nothing. */
type Taking<C, K extends Task['kind']> = C extends new (...given: never[]) => { $props: infer P }
  ? { step: PlannedStep; task: TaskOf<K> } extends Pick<P, keyof P & ('step' | 'task')>
    ? C
    : never
  : never;

/** What the bench shows for a task, by its kind. One that takes another kind of task does not compile. */
export const TASK_COMPONENTS: Readonly<Record<Task['kind'], Component>> = COMPONENTS satisfies {
  [K in Task['kind']]: Taking<(typeof COMPONENTS)[K], K>;
};
