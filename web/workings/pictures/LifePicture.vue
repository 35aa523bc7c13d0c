<script setup lang="ts">
import { survivalOf, weibullOf } from '@dusk-wren/core/analysis';
import { agesIn, lifeSurvival } from '@dusk-wren/core/workings';
import { computed } from 'vue';
import XyChart, { type XySeries } from '../../charts/XyChart.vue';

/** The share that outlives each age, as it was counted, and the Weibull life beside it where there is one. */
const props = defineProps<{ raw: Record<string, unknown> }>();
const DRAWN = 60;
/** Fewer failures say nothing of a shape. */
const LEAST_FOR_LIFE = 8;

const drawn = computed(() => {
  const read = lifeSurvival.input.safeParse(props.raw);
  if (!read.success || read.data.failures.length === 0) return undefined;
  const { ages, unit } = agesIn(read.data);
  const oldest = Math.max(...ages.failures, ...ages.running);
  let last = 1;
  const counted: (readonly [number, number])[] = [[0, 100]];
  for (const { age, survival } of survivalOf(ages)) {
    counted.push([age, 100 * last], [age, 100 * survival]);
    last = survival;
  }
  counted.push([oldest, 100 * last]);
  const life = ages.failures.length >= LEAST_FOR_LIFE ? weibullOf(ages) : undefined;
  const curve = Array.from({ length: DRAWN + 1 }, (_, i) => (oldest * i) / DRAWN).map(
    (age) => [age, life ? 100 * Math.exp(-((age / life.scale) ** life.shape)) : 0] as const,
  );
  const series: XySeries[] = [
    { name: 'counted', points: counted, colour: '--lamp' },
    ...(life ? [{ name: 'Weibull', points: curve, colour: '--blue', dashed: true }] : []),
  ];
  return { series, unit };
});
</script>

<template>
  <XyChart
    v-if="drawn"
    :series="drawn.series"
    :x="`age, ${drawn.unit}`"
    y="outlive it, %"
    label="The share that outlives an age"
  />
</template>
