<script setup lang="ts">
import { SCOPE_WORDS } from '@dusk-wren/core/job';
import { leftUnlooked, scopeAdvice } from '@dusk-wren/core/plan';
import { computed } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import { useJob } from '../stores/job';

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
  <aside v-if="advice" id="scope-advice" class="advice row-flat" aria-label="What the job is for">
    <p class="label">
      <b>{{ SCOPE_WORDS[advice.to] }}</b> would do · {{ advice.why }}.
      <template v-if="left.length > 0">Left unlooked at: {{ left.join(', ') }}.</template>
    </p>
    <BenchButton @press="take">Make it: {{ SCOPE_WORDS[advice.to] }}</BenchButton>
  </aside>
</template>

<style scoped>
.advice {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
  justify-content: space-between;
  padding: 8px 14px;
  border-left: 5px solid var(--blue);
}
.advice p {
  flex: 1 1 300px;
}
</style>
