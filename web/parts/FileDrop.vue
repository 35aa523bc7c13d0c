<script setup lang="ts">
import { useDropZone, useFileDialog } from '@vueuse/core';
import { ref } from 'vue';
import BenchButton from './BenchButton.vue';

/** A place to drop a file on, or to choose one, or to take the sample that ships with the program. */
const props = defineProps<{ label: string; accept: string; sample: string; sampleName: string }>();
const emit = defineEmits<{ file: [file: File]; failed: [why: string] }>();
const zone = ref<HTMLElement>();
const take = (files: ArrayLike<File> | null) => {
  if (files?.[0]) emit('file', files[0]);
};
const { isOverDropZone: over } = useDropZone(zone, take);
const { open: choose, onChange } = useFileDialog({ accept: props.accept, multiple: false, reset: true });
onChange(take);
async function takeSample(): Promise<void> {
  try {
    const response = await fetch(props.sample);
    if (!response.ok) throw new Error(String(response.status));
    emit('file', new File([await response.blob()], props.sampleName));
  } catch {
    emit('failed', 'The sample could not be fetched. Choose a file of your own.');
  }
}
</script>

<template>
  <div ref="zone" class="drop" :class="{ over }" role="group" :aria-label="label">
    <p>{{ label }}</p>
    <BenchButton @press="choose">Choose a file</BenchButton>
    <BenchButton @press="takeSample">Use the sample</BenchButton>
  </div>
</template>

<style scoped>
.drop {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 14px;
  align-items: center;
  padding: 12px 16px;
  border: 2px dashed var(--line);
  border-radius: var(--radius);
}
.drop.over {
  border-color: var(--blue);
  background: color-mix(in srgb, var(--blue) 12%, transparent);
}
p {
  margin-right: auto;
}
</style>
