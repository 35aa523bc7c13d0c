<script setup lang="ts">
import type { ClassView } from '@dusk-wren/contract/drills';
import { DRILLS } from '@dusk-wren/core/drill';
import { formatPercent } from '@dusk-wren/core/quantity';

/** Where a class loses its points, the most first. */
defineProps<{ losing: ClassView['losing'] }>();
</script>

<template>
  <p v-if="losing.length === 0" class="muted">Nothing stands out in the last weeks.</p>
  <ol v-else class="losing label">
    <li v-for="each in losing" :key="`${each.drill} ${each.what}`">
      <span class="bar" :style="{ width: `${each.share * 100}%` }" />
      <b>{{ DRILLS[each.drill].title }}</b>
      <span>{{ each.what }}</span>
      <span class="number">{{ formatPercent(each.share) }} lost, {{ each.count }} times</span>
    </li>
  </ol>
</template>

<style scoped>
.losing {
  display: grid;
  gap: 4px;
  width: 100%;
  font-size: 16px;
}
li {
  position: relative;
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr) auto;
  gap: 2px 16px;
  padding: 8px 12px;
  border: 1px solid var(--line);
  border-radius: var(--radius);
}
.bar {
  position: absolute;
  inset: 0 auto 0 0;
  background: color-mix(in srgb, var(--renew) 20%, transparent);
}
li > :not(.bar) {
  position: relative;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
