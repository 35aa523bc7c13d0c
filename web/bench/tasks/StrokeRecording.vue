<script setup lang="ts">
import type { Length } from '@dusk-wren/core/quantity';
import { useFileDialog } from '@vueuse/core';
import { ref } from 'vue';
import BenchButton from '../../parts/BenchButton.vue';
import { strokeOfFile, type Recorded } from './stroke-of-file';

/** A recorded ramp there and back, from a file: the points are read out of it. */
const props = defineProps<{ at: readonly number[]; rated: Length | undefined }>();
const emit = defineEmits<{ points: [recorded: Recorded] }>();
const said = ref('');

const { open: choose, onChange } = useFileDialog({
  accept: '.csv,.txt,text/csv',
  multiple: false,
  reset: true,
});
onChange((files) => {
  const file = files?.[0];
  if (file) void read(file);
});
async function read(file: File): Promise<void> {
  const made = strokeOfFile(file.name, new Uint8Array(await file.arrayBuffer()), props);
  if (typeof made === 'string') {
    said.value = made;
    return;
  }
  said.value = `${made.points.length} points from “${file.name}”.`;
  emit('points', made);
}
</script>

<template>
  <p class="recording">
    <BenchButton @press="choose">Read a recording instead, CSV</BenchButton>
    <span v-if="said" class="label" role="status">{{ said }}</span>
  </p>
</template>

<style scoped>
.recording {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
</style>
