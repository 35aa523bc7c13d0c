<script setup lang="ts">
import { capital } from '@dusk-wren/core/quantity';
import type { PlannedStep } from '@dusk-wren/core/plan';
import type { TaskOf } from '@dusk-wren/core/task';
import { computed, ref } from 'vue';
import { useKeys } from '../../keys/keys';
import BenchButton from '../../parts/BenchButton.vue';
import { useJob } from '../../stores/job';

/** A step that is simply done, with a word if there is one to say. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'do'> }>();
const job = useJob();
const note = ref('');
const label = computed(() =>
  props.task.writes === undefined ? 'Note (may be left out)' : capital(props.task.writes),
);
function done(notNeeded: boolean): void {
  const text = note.value.trim();
  job.act({
    kind: 'do-step',
    body: {
      step: props.step.id,
      ...(text ? { note: text } : {}),
      ...(notNeeded ? { notNeeded: true as const } : {}),
    },
  });
}
useKeys([
  { key: 'enter', label: 'Step done', run: () => done(false) },
  { key: 'x', label: 'Not needed', run: () => done(true), when: () => props.step.optional !== undefined },
]);
</script>

<template>
  <form class="do" @submit.prevent="done(false)">
    <v-text-field v-model="note" :label="label" maxlength="400" />
    <span class="buttons">
      <BenchButton lamp kind="submit" hint="enter">Done</BenchButton>
      <BenchButton v-if="step.optional" hint="x" @press="done(true)">Not needed</BenchButton>
    </span>
  </form>
</template>

<style scoped>
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.do {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 12px;
  align-items: start;
}
@media (max-width: 700px) {
  .do {
    grid-template-columns: 1fr;
  }
}
</style>
