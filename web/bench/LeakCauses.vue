<script setup lang="ts">
import { leakCauses, type TaskOf } from '@dusk-wren/core/task';

/** What a leak may come from, the cheapest to look at first. */
defineProps<{ task: TaskOf<'pressure-test'> }>();
</script>

<template>
  <section class="causes" aria-label="What it may come from">
    <h3>What it may come from, the cheapest first</h3>
    <ol>
      <li v-for="{ cause, look } in leakCauses(task)" :key="cause">
        <b>{{ cause }}:</b> {{ look }}
      </li>
    </ol>
  </section>
</template>

<style scoped>
.causes {
  padding: 8px 12px;
  border: 1px solid var(--hazard);
  border-radius: var(--radius);
}
ol {
  padding-left: 22px;
  margin: 4px 0 0;
}
li {
  padding: 2px 0;
}
</style>
