<script setup lang="ts">
import { computed } from 'vue';

/** Dial readings round the stem, the fitted bow through them, and where its high spot is. Lengths in thou, swelled so that thousandths show. */
const props = defineProps<{
  readings: readonly (number | undefined)[];
  limit: number;
  bow?: number | undefined;
  bowDegrees?: number | undefined;
  mean?: number | undefined;
  live?: { degrees: number; thou: number } | undefined;
}>();

const R = 78;
const C = 115;
const known = computed(() => props.readings.filter((reading) => reading !== undefined));
const zero = computed(
  () =>
    props.mean ??
    (known.value.length > 0 ? known.value.reduce((sum, each) => sum + each, 0) / known.value.length : 0),
);
const swell = computed(
  () => 32 / Math.max(props.limit, ...known.value.map((each) => Math.abs(each - zero.value)), 1),
);
const at = (degrees: number, thou: number) => {
  const radius = R + (thou - zero.value) * swell.value;
  const angle = ((degrees - 90) * Math.PI) / 180;
  return { x: C + radius * Math.cos(angle), y: C + radius * Math.sin(angle) };
};
const dots = computed(() =>
  props.readings.flatMap((reading, i) =>
    reading === undefined ? [] : [at((360 * i) / props.readings.length, reading)],
  ),
);
const fitted = computed(() => {
  const { bow, bowDegrees } = props;
  if (bow === undefined || bowDegrees === undefined) return '';
  const points = Array.from({ length: 73 }, (_, i) =>
    at(i * 5, zero.value + bow * Math.cos(((i * 5 - bowDegrees) * Math.PI) / 180)),
  );
  return `M${points.map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}`;
});
const high = computed(() =>
  props.bowDegrees === undefined ? undefined : at(props.bowDegrees, zero.value + (props.bow ?? 0)),
);
const needle = computed(() => props.live && at(props.live.degrees, props.live.thou));
const hours = Array.from({ length: 12 }, (_, i) => {
  const angle = ((i * 30 - 90) * Math.PI) / 180;
  return { name: i === 0 ? 12 : i, x: C + 107 * Math.cos(angle), y: C + 107 * Math.sin(angle) + 5 };
});
</script>

<template>
  <svg
    class="plot"
    :viewBox="`-4 -4 ${2 * C + 8} ${2 * C + 8}`"
    role="img"
    aria-label="Runout round the stem"
  >
    <circle :cx="C" :cy="C" :r="R" class="zero" />
    <circle :cx="C" :cy="C" :r="R + (limit / 2) * swell" class="limit" />
    <circle :cx="C" :cy="C" :r="Math.max(8, R - (limit / 2) * swell)" class="limit" />
    <text v-for="hour in hours" :key="hour.name" :x="hour.x" :y="hour.y">{{ hour.name }}</text>
    <path :d="fitted" class="fitted" />
    <circle v-for="(dot, i) in dots" :key="i" :cx="dot.x" :cy="dot.y" r="4.2" class="dot" />
    <template v-if="high">
      <path :d="`M${C} ${C}L${high.x} ${high.y}`" class="high" />
      <circle :cx="high.x" :cy="high.y" r="5" class="high-dot" />
    </template>
    <circle v-if="needle" :cx="needle.x" :cy="needle.y" r="6" class="needle" />
  </svg>
</template>

<style scoped>
.plot {
  width: 100%;
  max-width: 250px;
}
.zero {
  fill: none;
  stroke: var(--line);
  stroke-width: 1.5;
}
.limit {
  fill: none;
  stroke: var(--muted);
  stroke-dasharray: 2 5;
}
.fitted {
  fill: none;
  stroke: var(--blue);
  stroke-width: 2.2;
}
.dot {
  fill: var(--lamp);
}
.high {
  stroke: var(--renew);
  stroke-width: 2.4;
}
.high-dot {
  fill: var(--renew);
}
.needle {
  fill: none;
  stroke: var(--blue);
  stroke-width: 2.5;
}
text {
  font-family: var(--label);
  font-size: 14px;
  fill: var(--muted);
  text-anchor: middle;
}
</style>
