<script setup lang="ts">
import { capitalised, type Phrase } from '@dusk-wren/core/quantity';
import { usePreferences } from '../stores/preferences';

/** How somebody who knows would have gone, move by move. */
defineProps<{ way: readonly Phrase[] }>();
const { tell } = usePreferences();
</script>

<template>
  <details v-if="way.length > 0" class="best">
    <summary class="label">How somebody who knows does it</summary>
    <ol>
      <li v-for="(words, i) in way" :key="i">{{ tell(capitalised(words)) }}</li>
    </ol>
  </details>
</template>

<style scoped>
summary {
  min-height: var(--touch);
  align-content: center;
}
ol {
  display: grid;
  gap: 4px;
  max-width: 90ch;
  padding-left: 24px;
  list-style: decimal;
}
</style>
