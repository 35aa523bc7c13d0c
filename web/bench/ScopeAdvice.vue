<script setup lang="ts">
import { SCOPE_WORDS } from '@dusk-wren/core/job';
import { leftUnlooked, scopeAdvice } from '@dusk-wren/core/plan';
import { computed } from 'vue';
import { useJob } from '../stores/job';
import AdviceBar from './AdviceBar.vue';

/** A fault that was placed asks for less, a part that was found bad for more: proposed here, chosen by the person. */
const job = useJob();
const advice = computed(() =>
  job.state && job.planned && job.summary?.state === 'open' ? scopeAdvice(job.state, job.planned) : undefined,
);
const left = computed(() =>
  advice.value && job.planned ? leftUnlooked(advice.value.to, job.planned.valve) : [],
);
function take(): void {
  if (!advice.value) return;
  const { to, why } = advice.value;
  job.act({ kind: 'change-scope', body: { scope: to, reason: why } });
}
</script>

<template>
  <AdviceBar
    v-if="advice"
    id="scope-advice"
    label="What the job is for"
    :take="`Make it: ${SCOPE_WORDS[advice.to]}`"
    @take="take"
  >
    <b>{{ SCOPE_WORDS[advice.to] }}</b> would do · {{ advice.why }}.
    <template v-if="left.length > 0">Left unlooked at: {{ left.join(', ') }}.</template>
  </AdviceBar>
</template>
