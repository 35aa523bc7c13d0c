<script setup lang="ts">
import type { PlannedStep } from '@dusk-wren/core/plan';
import { boltProgress, type ClickVerdict } from '@dusk-wren/core/task';
import type { TaskOf } from '@dusk-wren/core/task';
import { ofDimension, quantity, type Quantity } from '@dusk-wren/core/quantity';
import { computed, ref, watch } from 'vue';
import BoltCircle from '../../drawings/BoltCircle.vue';
import { useKeys } from '../../keys/keys';
import BenchButton from '../../parts/BenchButton.vue';
import QuantityField from '../../parts/QuantityField.vue';
import WorkingPaper from '../../parts/WorkingPaper.vue';
import { useLanding } from '../../stores/gauge-lines';
import { useJob } from '../../stores/job';
import StepBar from '../StepBar.vue';
import { usePreferences } from '../../stores/preferences';
import InstrumentPick from '../InstrumentPick.vue';
import { useReadings } from '../use-readings';

/** The bolt circle: which bolt next and how tight; each click lands on its bolt, and a wrong or low one is said at once. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'bolt-up'> }>();
const job = useJob();
const { read } = usePreferences();

const progress = computed(() => (job.state ? boltProgress(job.state, props.step.id, props.task) : undefined));
const pass = computed(() => props.task.passes[progress.value?.pass ?? 0]);
const aimed = ref<number>();
const aim = computed(() => aimed.value ?? progress.value?.next);
const typed = ref<Quantity<'torque'>>();
const last = computed(() => progress.value?.clicks.at(-1));

const { instrument, choices, picked, running, trouble, start, stop } = useReadings(
  'torque wrench',
  () => ({ step: props.step.id, pass: String(progress.value?.pass ?? 0) }),
  (reading) => {
    if (reading.kind === 'click') land(quantity('torque', reading.lbfFt, 'lbf·ft'), 'wrench');
  },
);
watch(
  () => progress.value?.pass,
  () => running.value && start(),
);

function land(torque: Quantity<'torque'>, by: 'wrench' | 'hand'): void {
  if (aim.value === undefined) return stop();
  const readBy = by === 'wrench' && instrument.value ? instrument.value.id : 'hand';
  job.act({ kind: 'tighten-bolt', body: { step: props.step.id, bolt: aim.value, torque, readBy } });
  aimed.value = undefined;
}
useLanding(({ value, instrument: wrench }) => {
  const torque = ofDimension(value, 'torque');
  const bolt = aim.value;
  if (!torque || bolt === undefined) return undefined;
  picked.value = wrench.id;
  land(torque, 'wrench');
  return `bolt ${bolt}`;
});
function landTyped(): void {
  if (typed.value) land(typed.value, 'hand');
  typed.value = undefined;
}
const WORDS: Record<ClickVerdict, (bolt: number) => string> = {
  counts: (bolt) => `Bolt ${bolt} counts.`,
  'wrong bolt': (bolt) =>
    `That was bolt ${bolt}. It does not count; go to bolt ${progress.value?.next ?? ''}.`,
  low: (bolt) => `Bolt ${bolt} was let go early. Pull it again.`,
  'wrong pass': (bolt) => `Bolt ${bolt}: that was another pass.`,
  'out of calibration': () => 'This wrench is overdue for calibration: the click does not count.',
};
const words = computed(() =>
  last.value
    ? `${read(last.value.entry.body.torque, 'wrench')}. ${WORDS[last.value.verdict](last.value.entry.body.bolt)}`
    : 'Snug all nuts by hand first, and check that the joint is square.',
);
const name = computed(() => {
  const index = progress.value?.pass ?? 0;
  return index === props.task.passes.length - 1
    ? 'Circular check pass'
    : `Pass ${index + 1} of ${props.task.passes.length}, ${pass.value?.percent ?? 100} %`;
});
useKeys([{ key: 'w', label: 'Wrench in hand / put down', run: () => (running.value ? stop() : start()) }]);
</script>

<template>
  <div v-if="progress" class="bolt-up">
    <BoltCircle
      :bolts="task.bolts"
      :order="pass?.order ?? []"
      :done="progress.doneInPass"
      :aim="aim"
      :wrong="last?.verdict === 'wrong bolt' || last?.verdict === 'low' ? last.entry.body.bolt : undefined"
      @aim="aimed = $event"
    />
    <div class="side">
      <h3>{{ name }}</h3>
      <p class="setting number">{{ pass ? read(pass.torque, 'wrench') : '' }}</p>
      <p class="label muted">
        final {{ read(task.torque, 'wrench')
        }}{{ task.shown.source.standing === 'maker' ? ", the maker's figure" : ', computed' }}
      </p>
      <InstrumentPick v-model="picked" :choices="choices" :instrument="instrument" :trouble="trouble" />
      <p class="said label" :class="{ problem: last && last.verdict !== 'counts' }" role="status">
        {{ words }}
      </p>
      <StepBar>
        <BenchButton :lamp="!running" hint="w" @press="running ? stop() : start()">{{
          running ? 'Put the wrench down' : 'Pick up the wrench'
        }}</BenchButton>
      </StepBar>
      <p v-if="aim !== undefined" class="label">
        Aim: bolt <b class="number">{{ aim }}</b>. Touch another bolt if the socket is there.
      </p>
      <form class="hand" @submit.prevent="landTyped">
        <QuantityField
          v-model="typed"
          :label="`Click on bolt ${aim ?? ''}, by eye`"
          dimension="torque"
          example="60 ft-lb"
        />
      </form>
    </div>
    <WorkingPaper
      class="paper"
      :steps="task.shown.steps"
      :notes="task.shown.notes"
      :source="task.shown.source"
    />
  </div>
</template>

<style scoped>
.bolt-up {
  display: grid;
  grid-template-columns: minmax(220px, 320px) minmax(0, 1fr);
  gap: 20px;
}
.side {
  display: grid;
  gap: 7px;
  align-content: start;
}
.setting {
  font-size: 46px;
  line-height: 1.05;
  color: var(--blue);
}
.said {
  min-height: 26px;
  font-size: 17px;
  font-weight: 600;
}
.hand {
  max-width: 260px;
}
.paper {
  grid-column: 1 / -1;
}
@media (max-width: 700px) {
  .bolt-up {
    grid-template-columns: 1fr;
  }
}
</style>
