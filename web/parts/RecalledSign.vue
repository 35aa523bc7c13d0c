<script setup lang="ts">
import { recallsView } from '@dusk-wren/contract';
import { useQuery } from '@pinia/colada';
import { computed } from 'vue';
import { call } from '../api/client';

/** On a job that was called back: which instrument was found off, and what is in doubt. */
const props = defineProps<{ job: string }>();
const { data } = useQuery({
  key: () => ['recalls', props.job],
  query: () => call(`/jobs/${props.job}/recalls`, recallsView),
});
const open = computed(() => data.value?.recalls.filter(({ closed }) => closed === null) ?? []);
</script>

<template>
  <div v-for="{ id, instrument, why } in open" :key="id" class="recalled label" role="note">
    <b>Recalled: {{ instrument }} was found off.</b> {{ why.join('; ') }}. A lead says on Setup what was done.
  </div>
</template>

<style scoped>
.recalled {
  padding: 6px 12px;
  border: 1px solid var(--renew);
  border-left-width: 5px;
  border-radius: var(--radius);
}
</style>
