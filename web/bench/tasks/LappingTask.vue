<script setup lang="ts">
import type { PlannedStep } from '@dusk-wren/core/plan';
import { onStep } from '@dusk-wren/core/job';
import type { TaskOf } from '@dusk-wren/core/task';
import { minutes as inMinutes, type Quantity } from '@dusk-wren/core/quantity';
import { computed, ref } from 'vue';
import { useKeys } from '../../keys/keys';
import BenchButton from '../../parts/BenchButton.vue';
import QuantityField from '../../parts/QuantityField.vue';
import { useJob } from '../../stores/job';
import StepBar from '../StepBar.vue';
import { usePreferences } from '../../stores/preferences';

/** The lapping log: one line a grit; the check after it decides whether another round comes. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'lapping'> }>();
const job = useJob();
const { show } = usePreferences();
const log = computed(() => (job.state ? onStep(job.state, 'lapping-logged', props.step.id) : []));
const before = computed(
  () => job.state?.records['lapping-logged'].filter((entry) => !log.value.includes(entry)) ?? [],
);
const suggested = computed(() => props.task.grits[log.value.length] ?? props.task.grits.at(-1) ?? 240);
const grit = ref('');
const time = ref<Quantity<'time'> | undefined>({ ...inMinutes(2), entered: '2 min' });

const round = computed(() =>
  time.value
    ? {
        kind: 'log-lapping' as const,
        body: {
          step: props.step.id,
          grit: grit.value.trim() === '' ? suggested.value : Number(grit.value),
          minutes: time.value,
        },
      }
    : undefined,
);
const refused = computed(() => (round.value && grit.value.trim() ? job.refusal(round.value) : ''));
function add(): void {
  if (round.value && job.act(round.value)) grit.value = '';
}
const done = () => job.act({ kind: 'do-step', body: { step: props.step.id } });
useKeys([
  { key: 'g', label: 'Log this grit', run: add },
  { key: 'enter', label: 'Round done', run: done, when: () => log.value.length > 0 },
]);
</script>

<template>
  <div class="lapping">
    <table v-if="log.length + before.length > 0">
      <thead>
        <tr>
          <th>Step</th>
          <th>Grit</th>
          <th>For</th>
          <th>Against</th>
          <th>By</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="entry in [...before, ...log]"
          :key="entry.seq"
          :class="{ muted: entry.body.step.id !== step.id }"
        >
          <td>{{ entry.body.step.title }}</td>
          <td class="number">{{ entry.body.grit }}</td>
          <td class="number">{{ show(entry.body.minutes) }}</td>
          <td>{{ entry.body.against }}</td>
          <td>{{ entry.by.name }}</td>
        </tr>
      </tbody>
    </table>
    <form class="add" @submit.prevent="add">
      <v-text-field
        v-model="grit"
        :label="`Grit (${suggested} unless typed)`"
        inputmode="numeric"
        :error-messages="refused"
      />
      <QuantityField v-model="time" label="For how long" dimension="time" example="2 min" />
      <BenchButton :lamp="log.length === 0" hint="g" kind="submit" :disabled="!time"
        >Log this grit</BenchButton
      >
    </form>
    <StepBar>
      <BenchButton
        :lamp="log.length > 0"
        hint="enter"
        :disabled="log.length === 0"
        lacking="log a grit first"
        @press="done"
        >Round done, all compound off</BenchButton
      >
    </StepBar>
  </div>
</template>

<style scoped>
.lapping {
  display: grid;
  gap: 12px;
  justify-items: start;
}
.add {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 200px)) auto;
  gap: 10px;
  align-items: start;
}
@media (max-width: 700px) {
  .add {
    grid-template-columns: 1fr;
    width: 100%;
  }
}
</style>
