<script setup lang="ts">
import { PLACE_WORDS } from '@dusk-wren/core/job';
import { placeAdvice } from '@dusk-wren/core/plan';
import { computed } from 'vue';
import { useJob } from '../stores/job';
import AdviceBar from './AdviceBar.vue';

/** A part that stays in the line is past what is done there: out of it, if the person says so. */
const job = useJob();
const advice = computed(() =>
  job.state && job.planned && job.summary?.state === 'open' ? placeAdvice(job.state, job.planned) : undefined,
);
function take(): void {
  if (!advice.value) return;
  const { to, why } = advice.value;
  job.act({ kind: 'change-place', body: { place: to, reason: why } });
}
</script>

<template>
  <AdviceBar
    v-if="advice"
    label="Where it is worked on"
    :take="`Make it: ${PLACE_WORDS[advice.to]}`"
    @take="take"
  >
    <b>{{ PLACE_WORDS[advice.to] }}</b> · {{ advice.why }}.
  </AdviceBar>
</template>
