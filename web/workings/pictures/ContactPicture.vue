<script setup lang="ts">
import { si, valueIn } from '@dusk-wren/core/quantity';
import { seatContact } from '@dusk-wren/core/workings';
import { computed } from 'vue';
import ContactArcs from '../../drawings/ContactArcs.vue';

/** The blue line round the seat. */
const props = defineProps<{ raw: Record<string, unknown> }>();
const ring = computed(() => {
  const read = seatContact.input.safeParse(props.raw);
  const worked = read.success ? seatContact.work(read.data) : undefined;
  if (!read.success || !worked?.ok) return undefined;
  const widest = Math.max(...read.data.arcs.map(({ width }) => si(width)), 1e-9);
  return {
    arcs: read.data.arcs.map(({ from, to, width }) => ({
      from: valueIn(from, '°'),
      to: valueIn(to, '°'),
      width: si(width) / widest,
    })),
    gaps: worked.value.result.gaps.map(({ from, to }) => ({
      from: valueIn(from, '°'),
      to: valueIn(to, '°'),
    })),
  };
});
</script>

<template>
  <ContactArcs v-if="ring" v-bind="ring" />
</template>
