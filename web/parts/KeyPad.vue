<script setup lang="ts">
import { mdiBackspaceOutline } from '@mdi/js';
import { computed } from 'vue';

/** Keys large enough for gloves: digits, and what else a figure is made of. Pressing them leaves the focus where it is typed. */
const props = defineProps<{
  label: string;
  /** Beside the three rows of digits. */
  side?: readonly [string, string, string];
  /** Left and right of the nought, and a row of their own under it. */
  below?: readonly string[];
}>();
const emit = defineEmits<{ press: [text: string]; rubOut: [] }>();

const NAMES: Readonly<Record<string, string>> = { ' ': 'space', '.': 'point', '/': 'over', '-': 'minus' };
const ROWS = [
  ['7', '8', '9'],
  ['4', '5', '6'],
  ['1', '2', '3'],
] as const;
const above = computed(() =>
  ROWS.flatMap((row, i) => [...row, ...(props.side ? [props.side[i] ?? ''] : [])]),
);
const left = computed(() => props.below?.[0]);
const right = computed(() => props.below?.[1]);
const last = computed(() => props.below?.slice(2) ?? []);
</script>

<template>
  <div class="key-pad" :class="{ four: side }" role="group" :aria-label="label" @mousedown.prevent>
    <button
      v-for="key in above"
      :key="key"
      type="button"
      class="number"
      :aria-label="NAMES[key]"
      @click="emit('press', key)"
    >
      {{ key === ' ' ? 'space' : key }}
    </button>
    <button v-if="left" type="button" class="number" :aria-label="NAMES[left]" @click="emit('press', left)">
      {{ left }}
    </button>
    <button type="button" class="number" :class="{ alone: !left }" @click="emit('press', '0')">0</button>
    <button
      v-if="right"
      type="button"
      class="number"
      :aria-label="NAMES[right]"
      @click="emit('press', right)"
    >
      {{ right }}
    </button>
    <button type="button" aria-label="Rub out" @click="emit('rubOut')">
      <svg viewBox="0 0 24 24" width="24" height="24" aria-hidden="true">
        <path :d="mdiBackspaceOutline" fill="currentColor" />
      </svg>
    </button>
    <button
      v-for="key in last"
      :key="key"
      type="button"
      class="number"
      :class="{ wide: key === ' ' }"
      :aria-label="NAMES[key]"
      @click="emit('press', key)"
    >
      {{ key === ' ' ? 'space' : key }}
    </button>
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
.four {
  grid-template-columns: repeat(4, minmax(48px, 1fr));
}
button {
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
.wide {
  grid-column: span 3;
}
svg {
  display: block;
  margin: auto;
}
</style>
