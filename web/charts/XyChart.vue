<script setup lang="ts">
import { formatNumber } from '@dusk-wren/core/quantity';
import { LineChart, ScatterChart } from 'echarts/charts';
import { GridComponent, LegendComponent, TooltipComponent } from 'echarts/components';
import { use } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { computed } from 'vue';
import VChart from 'vue-echarts';
import { useChartLook } from './chart-text';

use([LineChart, ScatterChart, GridComponent, LegendComponent, TooltipComponent, SVGRenderer]);

export interface XySeries {
  readonly name: string;
  readonly points: readonly (readonly [x: number, y: number])[];
  /** A token of the theme, such as `--blue`. */
  readonly colour: string;
  readonly dashed?: boolean;
  readonly dots?: boolean;
}

/** Lines over one another, y against x, in the theme's colours. */
const props = defineProps<{
  series: readonly XySeries[];
  x: string;
  y: string;
  label: string;
  height?: number;
  /** Ends of the x axis, where they are known. */
  span?: readonly [from: number, to: number] | undefined;
}>();
const look = useChartLook();
const option = computed(() => ({
  animation: false,
  grid: { left: 62, right: 16, top: 34, bottom: 44 },
  legend: {
    top: 0,
    left: 0,
    textStyle: look.text(),
    itemWidth: 26,
    icon: 'rect',
    itemHeight: 3,
  },
  tooltip: {
    trigger: 'axis',
    valueFormatter: (value: unknown) => (typeof value === 'number' ? formatNumber(value, 3) : String(value)),
  },
  xAxis: {
    ...look.axis(props.x),
    nameGap: 28,
    scale: true,
    ...(props.span ? { min: props.span[0], max: props.span[1] } : {}),
  },
  yAxis: { ...look.axis(props.y), nameGap: 46, scale: true },
  series: props.series.map(({ name, points, colour, dashed, dots }) => ({
    name,
    type: 'line',
    data: points,
    showSymbol: dots === true,
    symbolSize: 7,
    itemStyle: { color: look.colour(colour) },
    lineStyle: { color: look.colour(colour), width: 2.2, type: dashed ? 'dashed' : 'solid' },
  })),
}));
</script>

<template>
  <VChart
    :style="{ height: `${height ?? 280}px` }"
    :option="option"
    autoresize
    role="img"
    :aria-label="label"
  />
</template>
