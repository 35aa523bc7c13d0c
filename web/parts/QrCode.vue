<script setup lang="ts">
import { create } from 'qrcode';
import { computed } from 'vue';

/** A QR code drawn as one path. The words beside it say the same, so that it is hidden from a screen reader. */
const props = defineProps<{ text: string }>();
const code = computed(() => {
  const { modules } = create(props.text, { errorCorrectionLevel: 'M' });
  const dark: string[] = [];
  for (let row = 0; row < modules.size; row++)
    for (let column = 0; column < modules.size; column++)
      if (modules.get(row, column)) dark.push(`M${column} ${row}h1v1h-1z`);
  return { size: modules.size, d: dark.join('') };
});
</script>

<template>
  <svg
    :viewBox="`-2 -2 ${code.size + 4} ${code.size + 4}`"
    aria-hidden="true"
    shape-rendering="crispEdges"
    class="qr"
  >
    <rect x="-2" y="-2" :width="code.size + 4" :height="code.size + 4" fill="#fff" />
    <path :d="code.d" fill="#000" />
  </svg>
</template>

<style scoped>
.qr {
  width: 100%;
  height: auto;
  display: block;
}
</style>
