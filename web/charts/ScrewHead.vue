<script setup lang="ts">
/** A slotted screw from above, with the way to turn it. */
defineProps<{ way: 'clockwise' | 'anticlockwise' | undefined }>();
</script>

<template>
  <svg class="head" viewBox="0 0 64 64" role="img" :aria-label="way ? `turn ${way}` : 'leave it'">
    <circle cx="32" cy="32" r="18" class="metal" />
    <line x1="18" y1="32" x2="46" y2="32" class="slot" transform="rotate(-28 32 32)" />
    <g v-if="way" :transform="way === 'anticlockwise' ? 'translate(64 0) scale(-1 1)' : undefined">
      <path d="M 12 16 A 26 26 0 0 1 54 18" class="way" />
      <path d="M 57 25 l -11 -3 l 8 -8 z" class="tip" />
    </g>
  </svg>
</template>

<style scoped>
.head {
  width: 64px;
  height: 64px;
  flex: none;
}
.metal {
  fill: var(--plate-low);
  stroke: var(--line);
}
.slot {
  stroke: var(--engraved);
  stroke-width: 4;
}
.way {
  fill: none;
  stroke: var(--lamp);
  stroke-width: 3;
}
.tip {
  fill: var(--lamp);
}
</style>
