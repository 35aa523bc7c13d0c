<script setup lang="ts">
import { computed } from 'vue';

/** Figures of one kind on one scale: marks with their words, and a band between two of them. */
const props = defineProps<{
  name: string;
  marks: readonly { readonly name: string; readonly at: number; readonly colour: string }[];
  band?: readonly [from: number, to: number];
  fromZero?: boolean;
}>();
const WIDTH = 330;
const ROW = 24;
const drawn = computed(() => {
  const all = [...props.marks.map(({ at }) => at), ...(props.fromZero ? [0] : [])];
  const [least, most] = [Math.min(...all), Math.max(...all)];
  const room = props.fromZero ? 0 : 0.12 * (most - least || 1);
  const x = (at: number) => ((at - least + room) / (most - least + 2 * room || 1)) * WIDTH;
  const sorted = props.marks.toSorted((a, b) => a.at - b.at);
  return {
    marks: sorted.map((mark, i) => {
      const at = x(mark.at);
      return { ...mark, x: at, y: 52 + (i + 1) * ROW, end: at > WIDTH * 0.5 };
    }),
    band: props.band && { x: x(props.band[0]), width: x(props.band[1]) - x(props.band[0]) },
    height: 62 + sorted.length * ROW,
  };
});
</script>

<template>
  <svg :viewBox="`-6 0 ${WIDTH + 16} ${drawn.height}`" class="scale-bar" role="img" :aria-label="name">
    <text x="0" y="16" class="name">{{ name }}</text>
    <rect x="0" y="28" :width="WIDTH" height="20" class="ground" />
    <rect v-if="drawn.band" :x="drawn.band.x" y="28" :width="drawn.band.width" height="20" class="band" />
    <g v-for="mark in drawn.marks" :key="mark.name" :style="{ color: `var(${mark.colour})` }">
      <path :d="`M${mark.x} 24V${mark.y - 4}`" />
      <text :x="mark.x + (mark.end ? -6 : 6)" :y="mark.y" :text-anchor="mark.end ? 'end' : 'start'">
        {{ mark.name }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
.scale-bar {
  width: 100%;
  max-width: 420px;
  font-family: var(--label);
}
.ground {
  fill: none;
  stroke: var(--line);
}
.band {
  fill: color-mix(in srgb, var(--lamp) 30%, transparent);
}
path {
  stroke: currentColor;
  stroke-width: 2.5;
}
text {
  font-size: 16px;
  font-weight: 600;
  fill: var(--ink);
}
.name {
  fill: var(--muted);
}
</style>
