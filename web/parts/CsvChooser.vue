<script setup lang="ts">
import { useFileDialog } from '@vueuse/core';
import BenchButton from './BenchButton.vue';

/** A CSV file from this device, as text; one that is too large is not read. */
const emit = defineEmits<{ chosen: [file: { name: string; csv: string }]; failed: [why: string] }>();
const MOST = 2_000_000;
const { open: choose, onChange } = useFileDialog({ accept: '.csv,text/csv', multiple: false, reset: true });
onChange(async (files) => {
  const file = files?.[0];
  if (!file) return;
  if (file.size > MOST) emit('failed', `${file.name} is larger than 2 MB. Split it; nothing was read.`);
  else emit('chosen', { name: file.name, csv: await file.text() });
});
</script>

<template>
  <BenchButton @press="choose()">Choose a file</BenchButton>
</template>
