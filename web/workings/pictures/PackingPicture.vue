<script setup lang="ts">
import { packingRings } from '@dusk-wren/core/workings';
import { computed } from 'vue';
import PackingRingDrawing from '../../drawings/PackingRingDrawing.vue';

/** The ring in plan and its cut length, to scale. */
const props = defineProps<{ raw: Record<string, unknown> }>();
const ring = computed(() => {
  const read = packingRings.input.safeParse(props.raw);
  const worked = read.success ? packingRings.work(read.data) : undefined;
  return read.success && worked?.ok ? { given: read.data, ...worked.value.result } : undefined;
});
</script>

<template>
  <PackingRingDrawing
    v-if="ring"
    :stem="ring.given.stem"
    :bore="ring.given.bore"
    :section="ring.section"
    opened="cut at 45°"
    :length="ring.length"
    :rings="ring.rings"
    :stagger="ring.rings > 3 ? 90 : 180"
    :fitted="0"
  />
</template>
