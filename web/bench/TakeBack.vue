<script setup lang="ts">
import type { PlannedStep } from '@dusk-wren/core/plan';
import { useTimeoutFn } from '@vueuse/core';
import { computed } from 'vue';
import { useJob } from '../stores/job';
import { useSession } from '../stores/session';

/** A slip, taken back at once: for ten seconds one press strikes what this person has just done, its reason made by itself. */
const props = defineProps<{ step: PlannedStep }>();
const job = useJob();
const session = useSession();
const SO_LONG_MILLISECONDS = 10_000;
const { finished } = props.step;
const wasJustNow = finished && Math.abs(Date.now() - Date.parse(finished.at)) < SO_LONG_MILLISECONDS;
const { isPending } = useTimeoutFn(() => undefined, SO_LONG_MILLISECONDS);
const strike = computed(() => ({
  kind: 'strike-entry' as const,
  body: { entry: finished?.seq ?? 0, reason: 'a slip, taken back at once' },
}));
const offered = computed(
  () =>
    isPending.value &&
    wasJustNow &&
    finished.by.id === session.person?.id &&
    job.summary?.state === 'open' &&
    job.refusal(strike.value) === '',
);
function takeBack(): void {
  if (job.act(strike.value)) job.chosen = props.step.id;
}
</script>

<template>
  <button v-if="offered" type="button" class="take-back label" @click="takeBack">Take it back</button>
</template>

<style scoped>
.take-back {
  min-height: var(--touch);
  padding: 0 14px;
  margin-right: 12px;
  font-size: 16px;
  font-weight: 600;
  color: var(--ink);
  background: var(--card);
  border: 1px solid var(--muted);
  border-radius: var(--radius);
  cursor: pointer;
}
</style>
