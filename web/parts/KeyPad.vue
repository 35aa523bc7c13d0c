<script setup lang="ts">
import { mdiBackspaceOutline } from '@mdi/js';

/** Keys large enough for gloves: digits, and what else a figure is made of. Pressing them leaves the focus where it is typed. */
const props = defineProps<{
  /** What goes with the digits, three by three after them. */
  more?: readonly string[];
  label: string;
}>();
const emit = defineEmits<{ press: [text: string]; rubOut: [] }>();

const ROWS = ['7', '8', '9', '4', '5', '6', '1', '2', '3'];
const NAMES: Readonly<Record<string, string>> = { ' ': 'space', '.': 'point', '/': 'over', '-': 'minus' };
const keys = [...ROWS, ...(props.more ?? [])];
</script>

<template>
  <div class="key-pad" role="group" :aria-label="label" @mousedown.prevent>
    <button
      v-for="key in keys"
      :key="key"
      type="button"
      class="number"
      :aria-label="NAMES[key]"
      @click="emit('press', key)"
    >
      {{ key === ' ' ? 'space' : key }}
    </button>
    <button type="button" class="number" :class="{ alone: !more }" @click="emit('press', '0')">0</button>
    <button type="button" aria-label="Rub out" @click="emit('rubOut')">
      <svg viewBox="0 0 24 24" width="24" height="24" aria-hidden="true">
        <path :d="mdiBackspaceOutline" fill="currentColor" />
      </svg>
    </button>
    <slot />
  </div>
</template>

<style scoped>
.key-pad {
  display: grid;
  grid-template-columns: repeat(3, minmax(56px, 1fr));
  gap: 8px;
  width: 272px;
  max-width: 100%;
}
.key-pad :is(button, :slotted(button)) {
  min-height: var(--touch);
  font-size: 20px;
  color: var(--ink);
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: var(--radius);
  cursor: pointer;
}
.alone {
  grid-column: 2;
}
svg {
  display: block;
  margin: auto;
}
</style>
