<script setup lang="ts">
import type { PlannedStep } from '@dusk-wren/core/plan';
import { ref } from 'vue';
import { useKeys } from '../../keys/keys';
import BenchButton from '../../parts/BenchButton.vue';
import { useJob } from '../../stores/job';

/** A step that is simply done, with a word if there is one to say. */
const props = defineProps<{ step: PlannedStep }>();
const job = useJob();
const note = ref('');
function done(): void {
  const text = note.value.trim();
  job.act({ kind: 'do-step', body: { step: props.step.id, ...(text ? { note: text } : {}) } });
}
useKeys([{ key: 'enter', label: 'Step done', run: done }]);
</script>

<template>
  <form class="do" @submit.prevent="done">
    <v-text-field v-model="note" label="Note (may be left out)" maxlength="400" />
    <BenchButton lamp kind="submit" hint="enter">Done</BenchButton>
  </form>
</template>

<style scoped>
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
