<script setup lang="ts">
import { computed } from 'vue';

/** Where a relief valve popped and shut, pop by pop, against its set; all in one unit. */
const props = defineProps<{ set: number; pops: readonly { popped: number; reseated: number }[] }>();

const [WIDTH, HEIGHT, LEFT] = [420, 130, 8];
const [LOW, HIGH] = [0.75, 1.25];
const y = (pressure: number) => {
  const share = (pressure / props.set - LOW) / (HIGH - LOW);
  return HEIGHT - 12 - Math.max(0, Math.min(1, share)) * (HEIGHT - 24);
};
/** The last ones fill it. */
const MOST = 12;
const shown = computed(() => props.pops.slice(-MOST));
const x = (i: number) => LEFT + 24 + (i * (WIDTH - 60)) / MOST;
</script>

<template>
  <svg class="pops" :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" :aria-label="`${pops.length} pops`">
    <path :d="`M${LEFT} ${y(set)}H${WIDTH - 34}`" class="set" />
    <text :x="WIDTH - 30" :y="y(set) + 5">set</text>
    <g v-for="(pop, i) in shown" :key="i">
      <path :d="`M${x(i)} ${y(pop.popped)}V${y(pop.reseated)}`" class="fall" />
      <circle :cx="x(i)" :cy="y(pop.popped)" r="5" class="popped" />
      <path :d="`M${x(i) - 6} ${y(pop.reseated)}h12`" class="shut" />
    </g>
  </svg>
</template>

<style scoped>
.pops {
  width: 100%;
  max-width: 480px;
}
.set {
  stroke: var(--ink);
  stroke-dasharray: 6 4;
}
text {
  font-family: var(--label);
  font-size: 15px;
  fill: var(--muted);
}
.fall {
  stroke: var(--muted);
  stroke-width: 1.6;
}
.popped {
  fill: var(--lamp);
}
.shut {
  stroke: var(--blue);
  stroke-width: 3;
}
</style>
