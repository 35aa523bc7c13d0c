<script setup lang="ts">
import { plotPath } from '@dusk-wren/core/analysis';
import type { KeptCurves } from '@dusk-wren/core/certificate';
import { formatNumber } from '@dusk-wren/core/quantity';
import { computed } from 'vue';
import './kept-plot.css';

/** Curves that were kept, laid over each other, as paper shows them. */
const props = defineProps<{ kept: KeptCurves }>();
const box = computed(() => ({ width: 400, height: 150, right: props.kept.seconds, top: props.kept.most }));
const DASHES = ['0', '9 5', '3 4', '12 4 3 4'];
const words = computed(
  () =>
    `${props.kept.step}: ${props.kept.curves.map(({ what, points }) => `${what} up to ${formatNumber(Math.max(...points.map(([, y]) => y)), 1)} ${props.kept.unit}`).join(', ')}`,
);
</script>

<template>
  <figure class="kept-plot">
    <svg viewBox="-6 -10 412 196" role="img" :aria-label="words">
      <path d="M0 0V150H400" class="axis" />
      <path v-for="y in [0, 75]" :key="y" :d="`M0 ${y}H400`" class="grid" />
      <text x="4" y="14">{{ formatNumber(kept.most, 1) }} {{ kept.unit }}</text>
      <text x="400" y="170" class="end">{{ formatNumber(kept.seconds, 0) }} s</text>
      <path
        v-for="(curve, i) in kept.curves"
        :key="curve.what"
        :d="plotPath(curve.points, box)"
        class="curve"
        :stroke-dasharray="DASHES[i % DASHES.length]"
      />
    </svg>
    <figcaption class="label">
      <span v-for="(curve, i) in kept.curves" :key="curve.what">
        <svg viewBox="0 0 40 6" width="40" height="6" aria-hidden="true">
          <path d="M0 3H40" class="curve" :stroke-dasharray="DASHES[i % DASHES.length]" />
        </svg>
        {{ curve.what }}{{ curve.simulated ? ' (simulated)' : ''
        }}{{ curve.file === undefined ? '' : `, out of “${curve.file}”` }}
      </span>
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  max-width: 520px;
}
figure > svg {
  width: 100%;
}
figcaption {
  overflow-wrap: anywhere;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}
</style>
