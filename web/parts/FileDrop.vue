<script setup lang="ts">
import { ref } from 'vue';
import BenchButton from './BenchButton.vue';

/** A place to drop a file on, or to choose one, or to take the sample that ships with the program. */
const props = defineProps<{ label: string; accept: string; sample: string; sampleName: string }>();
const emit = defineEmits<{ file: [file: File]; failed: [why: string] }>();
const over = ref(false);
const chooser = ref<HTMLInputElement>();

function dropped(event: DragEvent): void {
  over.value = false;
  const file = event.dataTransfer?.files[0];
  if (file) emit('file', file);
}
function chosen(): void {
  const file = chooser.value?.files?.[0];
  if (file) emit('file', file);
  if (chooser.value) chooser.value.value = '';
}
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
  <div
    class="drop"
    :class="{ over }"
    role="group"
    :aria-label="label"
    @dragover.prevent="over = true"
    @dragleave="over = false"
    @drop.prevent="dropped"
  >
    <p>{{ label }}</p>
    <input
      ref="chooser"
      type="file"
      class="visually-hidden"
      tabindex="-1"
      aria-hidden="true"
      :accept="accept"
      @change="chosen"
    />
    <BenchButton @press="chooser?.click()">Choose a file</BenchButton>
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
