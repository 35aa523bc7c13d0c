<script setup lang="ts" generic="T">
import { useFileDialog } from '@vueuse/core';
import { ref } from 'vue';
import BenchButton from '../../parts/BenchButton.vue';
import type { Reader } from './reader';

/** A recording out of a file of whoever sits here. */
const props = defineProps<{
  reader: Reader<T>;
  /** What was made of it, before it is kept. */
  words: (made: T) => string;
}>();
const emit = defineEmits<{ made: [made: T] }>();
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
  const made = props.reader(file.name, new Uint8Array(await file.arrayBuffer()));
  if (typeof made === 'string') {
    said.value = made;
    return;
  }
  said.value = `${props.words(made)} from “${file.name}”.`;
  emit('made', made);
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
