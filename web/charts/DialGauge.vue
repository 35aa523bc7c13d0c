<script setup lang="ts">
import { computed } from 'vue';

/** A dial indicator: its hand between divisions, as it stands. Thou, both; the face turns once for `round` of them. */
const props = defineProps<{ reads: number; division: number; round: number }>();

const [C, R] = [110, 92];
const turn = (thou: number) => (thou / props.round) * 360;
const at = (degrees: number, radius: number) => {
  const angle = ((degrees - 90) * Math.PI) / 180;
  return { x: C + radius * Math.cos(angle), y: C + radius * Math.sin(angle) };
};
const ticks = computed(() =>
  Array.from({ length: Math.round(props.round / props.division) }, (_, i) => {
    const thou = i * props.division;
    const isLong = i % 10 === 0;
    const isWhole = Math.abs(thou - Math.round(thou)) < 1e-9;
    const [from, to] = [at(turn(thou), R), at(turn(thou), R - (isLong ? 16 : isWhole ? 11 : 6))];
    return { d: `M${from.x} ${from.y}L${to.x} ${to.y}`, isLong, i };
  }),
);
/** Either way from the top, as dials that are read over and under are marked. */
const figures = computed(() => {
  const step = 10 * props.division;
  return Array.from({ length: Math.round(props.round / step) }, (_, i) => {
    const thou = i * step;
    const shown = thou > props.round / 2 ? props.round - thou : thou;
    return { shown, ...at(turn(thou), R - 28) };
  });
});
const hand = computed(() => at(turn(props.reads), R - 4));
const tail = computed(() => at(turn(props.reads) + 180, 22));
</script>

<template>
  <svg
    class="dial"
    viewBox="0 0 220 220"
    role="img"
    :aria-label="`Dial, its hand at ${reads.toFixed(2)} thou`"
  >
    <circle :cx="C" :cy="C" r="106" class="case" />
    <circle :cx="C" :cy="C" :r="R + 3" class="face" />
    <path v-for="tick in ticks" :key="tick.i" :d="tick.d" class="tick" :class="{ long: tick.isLong }" />
    <text v-for="(figure, i) in figures" :key="i" :x="figure.x" :y="figure.y + 5">{{ figure.shown }}</text>
    <path :d="`M${tail.x} ${tail.y}L${hand.x} ${hand.y}`" class="hand" />
    <circle :cx="C" :cy="C" r="5" class="hub" />
  </svg>
</template>

<style scoped>
.dial {
  width: 100%;
  max-width: 300px;
}
.case {
  fill: var(--plate-low);
  stroke: var(--line);
}
.face {
  fill: var(--card);
  stroke: var(--line);
}
.tick {
  stroke: var(--muted);
  stroke-width: 1;
}
.tick.long {
  stroke: var(--ink);
  stroke-width: 2;
}
text {
  font-family: var(--label);
  font-weight: 600;
  font-size: 15px;
  text-anchor: middle;
  fill: var(--ink);
}
.hand {
  stroke: var(--renew);
  stroke-width: 2.2;
  stroke-linecap: round;
}
.hub {
  fill: var(--renew);
}
</style>
