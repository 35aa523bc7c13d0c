<script setup lang="ts">
import { instrumentTraceView, type InstrumentTrace } from '@dusk-wren/contract';
import { formatNumber } from '@dusk-wren/core/quantity';
import { useQueryCache } from '@pinia/colada';
import { computed, ref } from 'vue';
import { call } from '../api/client';
import BenchButton from '../parts/BenchButton.vue';
import { sayDay } from '../parts/dates';
import { useTrying } from '../stores/trying';
import OtherwiseList from './OtherwiseList.vue';

/** What the error that an instrument was found with would change on the jobs that it was read on, and calling those back. */
const props = defineProps<{ id: string }>();
const cache = useQueryCache();
const found = ref<InstrumentTrace>();
const { wrong, busy: isWeighing, trying } = useTrying();
const doing = (path: string, method: 'GET' | 'POST') =>
  trying(async () => {
    const asked = method === 'POST' ? { method, body: {} } : { method };
    found.value = await call(`/setup/instruments/${props.id}/${path}`, instrumentTraceView, asked);
    await cache.invalidateQueries({ key: ['recalls'] });
  });
const open = computed(() => found.value?.jobs.filter(({ isRecalled }) => !isRecalled) ?? []);
const out = computed(() => found.value?.jobs.filter(({ isOut }) => isOut) ?? []);
const words = computed(() => {
  if (!found.value) return '';
  const { since, until, offPercent, looked, more, jobs } = found.value;
  const days = `${since ? `from ${sayDay(since)} ` : ''}to ${sayDay(until)}`;
  const read = `${looked}${more ? ' or more' : ''} jobs were read with it ${days}`;
  return `Found ${formatNumber(offPercent, 2)} % off: ${read}; ${jobs.length} would stand otherwise, ${out.value.length} of them signed.`;
});
</script>

<template>
  <div class="trace">
    <BenchButton :disabled="isWeighing" lacking="the weighing" @press="doing('trace', 'GET')"
      >What its error would change</BenchButton
    >
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
    <OtherwiseList v-if="found" :jobs="found.jobs">
      <p role="status">
        <b>{{ words }}</b>
      </p>
    </OtherwiseList>
    <BenchButton v-if="open.length > 0" lamp :disabled="isWeighing" @press="doing('recalls', 'POST')"
      >Recall {{ open.map(({ tag }) => tag).join(', ') }}</BenchButton
    >
  </div>
</template>

<style scoped>
.trace {
  display: grid;
  gap: 8px;
  justify-items: start;
}
</style>
