<script setup lang="ts">
import { ringPoint, ringSpan, ringStretch } from '@dusk-wren/core/analysis';
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
const blue = computed(() =>
  props.arcs.map(({ from, to, width }) => ({ path: ringStretch(C, R, from, to), width: 3 + 13 * width })),
);
const breaks = computed(() =>
  props.gaps.map(({ from, to }) => {
    const middle = from + ringSpan(from, to) / 2;
    return {
      path: ringStretch(C, R + 30, from, to),
      label: `${formatNumber(ringSpan(from, to), 0)}°`,
      at: ringPoint(C, middle, R + 16),
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
  font-size: 18px;
  fill: var(--engraved);
  text-anchor: middle;
}
.hour {
  fill: var(--muted);
}
</style>
