<script setup lang="ts">
import type { DueView } from '@dusk-wren/contract';
import { isoDay, sayDay } from '../parts/dates';

/** When a valve is due next and why; everything else that says so behind it. */
defineProps<{ due: readonly DueView[] }>();
const today = isoDay(new Date());
</script>

<template>
  <details v-if="due[0]" class="due row-flat" :class="{ over: due[0].at < today }">
    <summary>
      <b>{{ due[0].at < today ? 'Was due' : 'Due' }} {{ sayDay(due[0].at) }}</b>
      <span>{{ due[0].words }}</span>
      <span v-if="due.length > 1" class="label muted">and {{ due.length - 1 }} more</span>
    </summary>
    <ol v-if="due.length > 1">
      <li v-for="each in due.slice(1)" :key="`${each.at} ${each.words}`" class="label">
        <b class="number">{{ sayDay(each.at) }}</b> {{ each.words }}
      </li>
    </ol>
  </details>
</template>

<style scoped>
.due {
  border-left: 5px solid var(--blue);
}
.over {
  border-left-color: var(--renew);
}
summary {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  align-items: center;
  min-height: var(--touch);
  padding: 4px 14px;
}
ol {
  display: grid;
  gap: 4px;
  padding: 0 14px 10px;
}
</style>
