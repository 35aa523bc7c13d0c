<script setup lang="ts">
import { stockView } from '@dusk-wren/contract/stock';
import type { Part } from '@dusk-wren/core/valve';
import { useQuery } from '@pinia/colada';
import { computed } from 'vue';
import { call } from '../api/client';
import { useJob } from '../stores/job';

/** What the store knows of one part of this valve: how many, where, at what price, how long a new one takes. */
const props = defineProps<{ part: Part }>();
const job = useJob();
const { data } = useQuery({
  key: () => ['job-stock', job.id ?? ''],
  query: () => call(`/jobs/${job.id ?? ''}/stock`, stockView),
});
const stocked = computed(() => data.value?.parts.find(({ part }) => part === props.part.role));
</script>

<template>
  <p class="label facts">
    <span>{{ part.quantity }} × {{ part.material }}</span>
    <span>{{ part.policy }}</span>
    <template v-if="stocked">
      <span
        >{{ stocked.onHand === 0 ? 'none in stock' : `${stocked.onHand} in bin ${stocked.bin}` }}, number
        {{ stocked.number }}</span
      >
      <span class="number">{{ stocked.price.toFixed(2) }}</span>
      <span>{{ stocked.leadDays }} working days to get</span>
    </template>
    <span v-else>not stocked, usually {{ part.leadDays }} working days to get</span>
  </p>
</template>

<style scoped>
.facts {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  color: var(--muted);
}
</style>
