<script setup lang="ts">
import type { ValvePage } from '@dusk-wren/contract';
import { isoDay, sayDay } from '../parts/dates';

/** What was photographed on the jobs of a valve, the latest first. */
defineProps<{ photos: ValvePage['photos'] }>();
</script>

<template>
  <section aria-label="Photographs">
    <h2>Photographs</h2>
    <ul class="strip">
      <li v-for="each in photos" :key="each.photo">
        <a :href="`/api/jobs/${each.job}/photos/${each.photo}`" target="_blank" rel="noopener">
          <img
            :src="`/api/jobs/${each.job}/photos/${each.photo}`"
            :alt="`${each.part ?? 'valve'}: ${each.caption}`"
            loading="lazy"
          />
          <span class="label">{{ each.caption }}</span>
          <span class="label muted">{{ sayDay(isoDay(new Date(each.at))) }}</span>
        </a>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.strip {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 10px;
  padding: 0;
  margin: 0;
  list-style: none;
}
.strip a {
  display: grid;
  gap: 2px;
  color: var(--ink);
  text-decoration: none;
}
img {
  width: 100%;
  aspect-ratio: 4 / 3;
  object-fit: cover;
  border: 1px solid var(--line);
  border-radius: var(--radius);
}
</style>
