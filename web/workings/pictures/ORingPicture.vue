<script setup lang="ts">
import { si } from '@dusk-wren/core/quantity';
import { oringFit } from '@dusk-wren/core/workings';
import { computed } from 'vue';

/** The ring's section in its groove, free and squeezed, to scale. */
const props = defineProps<{ raw: Record<string, unknown> }>();
const drawn = computed(() => {
  const read = oringFit.input.safeParse(props.raw);
  if (!read.success) return undefined;
  const { section, glandDepth, glandWidth } = read.data;
  const scale = 90 / Math.max(si(section), si(glandDepth));
  const [d, depth, width] = [si(section) * scale, si(glandDepth) * scale, si(glandWidth) * scale];
  const squeezedWidth = Math.min(width, (d * d) / Math.min(d, depth));
  return { d, depth, width, squeezedWidth, height: Math.min(d, depth) };
});
</script>

<template>
  <svg
    v-if="drawn"
    class="groove"
    :viewBox="`-20 -26 ${drawn.width + 220} 150`"
    role="img"
    aria-label="O-ring in its groove"
  >
    <path :d="`M-20 0H0V${drawn.depth}H${drawn.width}V0H${drawn.width + 20}V110H-20Z`" class="metal" />
    <rect x="-20" y="-22" :width="drawn.width + 40" height="20" class="metal" />
    <ellipse
      :cx="drawn.width / 2"
      :cy="drawn.depth - drawn.height / 2"
      :rx="drawn.squeezedWidth / 2"
      :ry="drawn.height / 2"
      class="ring"
    />
    <g :transform="`translate(${drawn.width + 120} ${drawn.depth - drawn.d / 2})`">
      <circle :r="drawn.d / 2" class="ring free" />
      <text y="5">free</text>
    </g>
  </svg>
</template>

<style scoped>
.groove {
  width: 100%;
  max-width: 380px;
}
.metal {
  fill: color-mix(in srgb, var(--plate-low) 45%, var(--card));
  stroke: var(--ink);
}
.ring {
  fill: color-mix(in srgb, var(--blue) 35%, transparent);
  stroke: var(--blue);
  stroke-width: 2;
}
.free {
  stroke-dasharray: 5 4;
}
text {
  font-family: var(--label);
  font-size: 15px;
  fill: var(--muted);
  text-anchor: middle;
}
</style>
