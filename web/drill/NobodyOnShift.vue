<script setup lang="ts">
import { onShiftView } from '@dusk-wren/contract/drills';
import { useQuery } from '@pinia/colada';
import { call } from '../api/client';

/** Work that the shop asks something for, and nobody is here now who has it. */
const { data } = useQuery({
  key: ['drills-on-shift'],
  query: () => call('/drills/on-shift', onShiftView),
  staleTime: 60_000,
});
const others = (names: readonly string[]) =>
  names.length === 0 ? 'Nobody of the shop is.' : `Qualified, and not here: ${names.join(', ')}.`;
</script>

<template>
  <p v-for="each in data?.nobody ?? []" :key="each.work" class="nobody label" role="status">
    Nobody on shift is qualified for {{ each.work }} work. {{ others(each.qualified) }}
  </p>
</template>

<style scoped>
.nobody {
  padding: 8px 14px;
  margin-bottom: 10px;
  color: var(--ask);
  border: 1px solid var(--ask);
  border-radius: var(--radius);
}
</style>
