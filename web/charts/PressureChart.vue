<script setup lang="ts">
import { LineChart } from 'echarts/charts';
import { GridComponent, MarkLineComponent } from 'echarts/components';
import { use } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { computed } from 'vue';
import VChart from 'vue-echarts';
import { usePreferences } from '../stores/preferences';

use([LineChart, GridComponent, MarkLineComponent, SVGRenderer]);

/** Pressure against time, with the pressure asked for. Values come in the unit shown. */
const props = defineProps<{
  points: readonly (readonly [seconds: number, pressure: number])[];
  wanted: number;
  unit: string;
  span: number;
}>();
const preferences = usePreferences();
const colour = (name: string) => (
  preferences.look,
  getComputedStyle(document.documentElement).getPropertyValue(name).trim()
);
/** Room above what is asked for and what was read: whole tens, or less where there is little. */
const top = computed(() => {
  const most = 1.15 * Math.max(props.wanted, ...props.points.map(([, pressure]) => pressure));
  return most > 10 ? Math.ceil(most / 10) * 10 : Math.max(1, Math.ceil(most));
});
const option = computed(() => {
  const muted = colour('--muted');
  const text = { color: muted, fontFamily: 'Barlow Semi Condensed', fontSize: 14 };
  return {
    animation: false,
    grid: { left: 56, right: 14, top: 22, bottom: 28 },
    xAxis: {
      type: 'value',
      min: 0,
      max: props.span,
      axisLabel: { ...text, formatter: '{value} s' },
      splitLine: { show: false },
      axisLine: { lineStyle: { color: colour('--line') } },
    },
    yAxis: {
      type: 'value',
      name: props.unit,
      min: 0,
      max: top.value,
      nameTextStyle: text,
      axisLabel: text,
      splitNumber: 3,
      splitLine: { lineStyle: { color: colour('--line'), opacity: 0.5 } },
    },
    series: [
      {
        type: 'line',
        showSymbol: false,
        data: props.points,
        lineStyle: { color: colour('--blue'), width: 2.4 },
        markLine: {
          symbol: 'none',
          silent: true,
          data: [{ yAxis: props.wanted }],
          lineStyle: { color: colour('--lamp'), type: 'dashed' },
          label: { show: false },
        },
      },
    ],
  };
});
</script>

<template>
  <VChart class="chart" :option="option" autoresize aria-label="Pressure against time" role="img" />
</template>

<style scoped>
.chart {
  height: 150px;
  width: 100%;
}
</style>
