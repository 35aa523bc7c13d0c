<script setup lang="ts">
import { sensLine } from '@dusk-wren/core/analysis';
import { valueIn } from '@dusk-wren/core/quantity';
import { lifeTrend } from '@dusk-wren/core/workings';
import { computed } from 'vue';
import XyChart, { type XySeries } from '../../charts/XyChart.vue';

/** What was read, the line through it with its band, and where they meet the limit. */
const props = defineProps<{ raw: Record<string, unknown> }>();
/** How far ahead is drawn where nothing meets the limit, times what the readings cover. */
const [LITTLE, FARTHEST] = [1.25, 4];

const drawn = computed(() => {
  const read = lifeTrend.input.safeParse(props.raw);
  if (!read.success || read.data.points.length === 0) return undefined;
  const { points, limit } = read.data;
  const unit = points[0]?.at.unit ?? 'd';
  const dots = points
    .filter(({ value }) => value.dimension === limit.dimension)
    .map(({ at, value }) => ({ x: valueIn(at, unit), y: valueIn(value, limit.unit) }));
  const line = sensLine(dots);
  const xs = dots.map(({ x }) => x);
  const [first, newest] = [Math.min(...xs), Math.max(...xs)];
  const lines = line ? [line, line.low, line.high] : [];
  const meets = lines
    .map(({ slope, intercept }) => (limit.value - intercept) / slope)
    .filter((at) => at > newest && at < first + FARTHEST * (newest - first));
  const to = Math.max(first + LITTLE * (newest - first), ...meets);
  const through = ({ slope, intercept }: { slope: number; intercept: number }) =>
    [first, to].map((x) => [x, intercept + slope * x] as const);
  const series: XySeries[] = [
    { name: 'read', points: dots.map(({ x, y }) => [x, y] as const), colour: '--ink', dots: true },
    ...(line
      ? [
          { name: 'line', points: through(line), colour: '--blue' },
          { name: '80 % band', points: through(line.low), colour: '--muted', dashed: true },
          { name: '80 % band', points: through(line.high), colour: '--muted', dashed: true },
        ]
      : []),
    {
      name: 'limit',
      points: [
        [first, limit.value],
        [to, limit.value],
      ],
      colour: '--renew',
    },
  ];
  return { series, x: `age, ${unit}`, y: limit.unit, span: [first, Math.ceil(to)] as const };
});
</script>

<template>
  <XyChart
    v-if="drawn"
    :series="drawn.series"
    :x="drawn.x"
    :y="drawn.y"
    :span="drawn.span"
    label="What was read, its line and band, and the limit"
  />
</template>
