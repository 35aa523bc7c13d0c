<script setup lang="ts">
import { PASS } from '@dusk-wren/core/drill';
import { formatPercent } from '@dusk-wren/core/quantity';
import { computed } from 'vue';

/** How well somebody does a subject, filled as far as it still sits; the notch is where it passes. */
const props = defineProps<{ mean: number; sits: number }>();
const words = computed(
  () => `${formatPercent(props.mean)} over the last five, sits with ${formatPercent(props.sits)}`,
);
</script>

<template>
  <svg class="skill" viewBox="0 0 120 18" preserveAspectRatio="none" role="img" :aria-label="words">
    <rect x="0" y="5" width="120" height="8" class="ground" />
    <rect x="0" y="5" :width="120 * mean" height="8" class="was" />
    <rect x="0" y="5" :width="120 * mean * sits" height="8" class="is" />
    <path :d="`M${120 * PASS} 1V17`" class="pass" />
  </svg>
</template>

<style scoped>
.skill {
  width: 100%;
  max-width: 180px;
  height: 20px;
}
.ground {
  fill: none;
  stroke: var(--line);
  vector-effect: non-scaling-stroke;
}
.was {
  fill: color-mix(in srgb, var(--lamp-deep) 45%, transparent);
}
.is {
  fill: var(--lamp);
}
.pass {
  stroke: var(--ink);
  stroke-width: 2;
  vector-effect: non-scaling-stroke;
}
</style>
