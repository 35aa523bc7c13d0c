<script setup lang="ts">
import { formatNumber } from '@dusk-wren/core/quantity';
import { computed } from 'vue';

/** A seat ring from above with the blue line as it was read, its breaks marked. Angles are clockwise from 12 o'clock. */
const props = defineProps<{
  /** Stretches of blue; `width` 0 to 1 of the widest. */
  arcs: readonly { from: number; to: number; width: number }[];
  gaps: readonly { from: number; to: number }[];
}>();
const C = 150;
const R = 108;
const point = (degrees: number, radius: number) => {
  const angle = ((degrees - 90) * Math.PI) / 180;
  return `${(C + radius * Math.cos(angle)).toFixed(2)} ${(C + radius * Math.sin(angle)).toFixed(2)}`;
};
const span = (from: number, to: number) => (to - from >= 360 ? 359.99 : (((to - from) % 360) + 360) % 360);
const stretch = (from: number, to: number, radius: number) => {
  const length = span(from, to);
  return `M${point(from, radius)}A${radius} ${radius} 0 ${length > 180 ? 1 : 0} 1 ${point(from + length, radius)}`;
};
const blue = computed(() =>
  props.arcs.map(({ from, to, width }) => ({ path: stretch(from, to, R), width: 3 + 13 * width })),
);
const breaks = computed(() =>
  props.gaps.map(({ from, to }) => {
    const middle = from + span(from, to) / 2;
    return {
      path: stretch(from, to, R + 30),
      label: `${formatNumber(span(from, to), 0)}°`,
      at: point(middle, R + 16),
    };
  }),
);
</script>

<template>
  <svg class="contact" viewBox="-6 -6 312 312" role="img" aria-label="The blue line on the seat">
    <circle :cx="C" :cy="C" r="132" class="metal" />
    <circle :cx="C" :cy="C" r="84" class="bore" />
    <path v-for="(arc, i) in blue" :key="i" :d="arc.path" class="blue" :stroke-width="arc.width" />
    <g v-for="(each, i) in breaks" :key="`g${i}`">
      <path :d="each.path" class="break" />
      <text :x="each.at.split(' ')[0]" :y="Number(each.at.split(' ')[1]) + 5">{{ each.label }}</text>
    </g>
    <text
      v-for="hour in [12, 3, 6, 9]"
      :key="hour"
      :x="C + 68 * Math.sin((hour * Math.PI) / 6)"
      :y="C + 5 - 68 * Math.cos((hour * Math.PI) / 6)"
      class="hour"
    >
      {{ hour }}
    </text>
  </svg>
</template>

<style scoped>
.contact {
  width: 100%;
  max-width: 300px;
}
.metal {
  fill: color-mix(in srgb, var(--plate-low) 55%, var(--card));
  stroke: var(--ink);
}
.bore {
  fill: var(--card);
  stroke: var(--ink);
}
.blue {
  fill: none;
  stroke: var(--blue);
}
.break {
  fill: none;
  stroke: var(--renew);
  stroke-width: 4;
}
text {
  font-family: var(--label);
  font-weight: 600;
  font-size: 15px;
  fill: var(--engraved);
  text-anchor: middle;
}
.hour {
  fill: var(--muted);
}
</style>
