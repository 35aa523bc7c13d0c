<script setup lang="ts">
import { percentPoints, positionerStroke } from '@dusk-wren/core/workings';
import { computed } from 'vue';
import XyChart, { type XySeries } from '../../charts/XyChart.vue';

/** How far the travel is off at each signal, going up and going down. */
const props = defineProps<{ raw: Record<string, unknown> }>();
const series = computed((): XySeries[] => {
  const read = positionerStroke.input.safeParse(props.raw);
  const points = read.success ? percentPoints(read.data) : undefined;
  if (!points?.ok) return [];
  return [
    {
      name: 'going up',
      points: points.value.map(({ x, up }) => [x, up - x] as const),
      colour: '--blue',
      dots: true,
    },
    {
      name: 'going down',
      points: points.value.map(({ x, down }) => [x, down - x] as const),
      colour: '--lamp',
      dots: true,
    },
  ];
});
</script>

<template>
  <XyChart
    v-if="series.length > 0"
    :series="series"
    x="signal, %"
    y="off by, % of travel"
    label="Deviation of the travel"
  />
</template>
