<script setup lang="ts">
import type { PlannedStep } from '@dusk-wren/core/plan';
import { ref } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import { useJob } from '../stores/job';

/** Passes over a figure that is not wanted on every job, with why: what was not measured cannot be compared later. */
const props = defineProps<{ step: PlannedStep }>();
const job = useJob();
const asking = ref(false);
const REASONS = [
  'cannot be done on this valve as it is',
  'no rig or instrument for it here',
  'nobody wants it',
];
function passOver(note: string): void {
  if (job.act({ kind: 'do-step', body: { step: props.step.id, notNeeded: true, note } }))
    asking.value = false;
}
</script>

<template>
  <div class="not-needed" @keydown.escape.stop="asking = false">
    <BenchButton v-if="!asking" @press="asking = true">Not taken…</BenchButton>
    <template v-else>
      <span class="label">Not taken, because</span>
      <BenchButton v-for="each in REASONS" :key="each" @press="passOver(each)">{{ each }}</BenchButton>
      <BenchButton @press="asking = false">Leave it</BenchButton>
    </template>
  </div>
</template>

<style scoped>
.not-needed {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  margin-left: auto;
}
</style>
