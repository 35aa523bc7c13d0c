<script setup lang="ts">
import type { Finding } from '@dusk-wren/core/inspection';
import { computed } from 'vue';
import { sketchOf } from './sketches';

/** A damage as it looks on a part; the words beside it say what it is. */
const props = defineProps<{ finding: Finding }>();
const sketch = computed(() => sketchOf(props.finding));
</script>

<template>
  <svg v-if="sketch" viewBox="0 0 64 40" width="58" height="36" class="damage" aria-hidden="true">
    <path :d="sketch.on" class="on" />
    <path v-if="sketch.dark" :d="sketch.dark" class="dark" />
    <path v-if="sketch.marks" :d="sketch.marks" class="marks" />
  </svg>
</template>

<style scoped>
.damage {
  flex: none;
  fill: none;
  stroke-width: 1.8;
  stroke-linejoin: round;
  stroke-linecap: round;
}
.on {
  stroke: var(--muted);
}
.marks {
  stroke: var(--renew);
}
.dark {
  fill: var(--renew);
}
</style>
