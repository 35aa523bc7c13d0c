<script setup lang="ts">
import { plannedJobView } from '@dusk-wren/contract/planned';
import { useQuery } from '@pinia/colada';
import { useIntervalFn, useTimeoutFn } from '@vueuse/core';
import { computed, watch } from 'vue';
import { call } from '../api/client';
import { sayMinutes, sayMoment } from '../parts/dates';
import { sayPiece } from '../parts/planned-words';

/** What the plan of the week says of this job: what is next, with whom and where, and when it is ready. */
const props = defineProps<{ job: string; version: number }>();
const LOOKS_EVERY = 20_000;
/** The plan follows a command within so long. */
const PLANNED_AFTER = 3500;
const { data, refetch } = useQuery({
  key: () => ['week-job', props.job],
  query: () => call(`/week/jobs/${props.job}`, plannedJobView),
  staleTime: 0,
});
useIntervalFn(() => void refetch(), LOOKS_EVERY);
const soon = useTimeoutFn(() => void refetch(), PLANNED_AFTER, { immediate: false });
watch(
  () => props.version,
  () => soon.start(),
);
const next = computed(() => data.value?.next);
</script>

<template>
  <p v-if="data?.readyAt" class="planned label" aria-label="By the plan of the week">
    <template v-if="next"
      >{{ sayPiece(next) }}<template v-if="next.place">, {{ next.place }}</template> ·
    </template>
    ready {{ sayMoment(data.readyAt) }}
    <b v-if="data.lateMinutes > 0" class="late">· late by {{ sayMinutes(data.lateMinutes) }}</b>
  </p>
</template>

<style scoped>
.planned {
  color: var(--muted);
}
.late {
  color: var(--condemn);
}
</style>
