<script setup lang="ts">
import type { Due } from '@dusk-wren/core/life';
import { isoDay, sayDay } from '../parts/dates';
import FoldRow from '../parts/FoldRow.vue';

/** When a valve is due next and why; everything else that says so behind it. */
defineProps<{ due: readonly Due[] }>();
const today = isoDay(new Date());
</script>

<template>
  <FoldRow v-if="due[0]" :edge="due[0].at < today ? 'renew' : 'blue'">
    <template #line>
      <b>{{ due[0].at < today ? 'Was due' : 'Due' }} {{ sayDay(due[0].at) }}</b>
      <span>{{ due[0].words }}</span>
      <span v-if="due.length > 1" class="label muted">and {{ due.length - 1 }} more</span>
    </template>
    <ol v-if="due.length > 1">
      <li v-for="each in due.slice(1)" :key="`${each.at} ${each.words}`" class="label">
        <b class="number">{{ sayDay(each.at) }}</b> {{ each.words }}
      </li>
    </ol>
  </FoldRow>
</template>

<style scoped>
ol {
  display: grid;
  gap: 4px;
  padding: 0 14px 10px;
}
</style>
