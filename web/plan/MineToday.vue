<script setup lang="ts">
import { mineView, sayKind, type PlannedPiece } from '@dusk-wren/contract/planned';
import { useQuery } from '@pinia/colada';
import { computed } from 'vue';
import { call } from '../api/client';
import { isoDay, sayDay, sayTime } from '../parts/dates';

/** What the plan has for whoever looks: of today, or of the next day that has any. */
const { data } = useQuery({ key: ['week-mine'], query: () => call('/week/mine', mineView), staleTime: 0 });
const dayOf = ({ start }: PlannedPiece) => isoDay(new Date(start));
const today = isoDay(new Date());
const day = computed(() => {
  const [first] = data.value?.pieces ?? [];
  return first && dayOf(first);
});
const pieces = computed(() => (data.value?.pieces ?? []).filter((piece) => dayOf(piece) === day.value));
</script>

<template>
  <section v-if="day !== undefined" class="yours" aria-label="Planned for you">
    <h2 class="label">{{ day === today ? 'Yours today' : `Yours on ${sayDay(day)}` }}</h2>
    <ol class="label">
      <li v-for="piece in pieces" :key="`${piece.job} ${piece.start} ${piece.kind}`">
        <router-link :to="`/jobs/${piece.job}`" class="row-flat">
          <span class="number">{{ sayTime(piece.start) }}</span>
          <b>{{ piece.tag }}</b>
          <span class="muted">{{ sayKind(piece.kind) }}</span>
        </router-link>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.yours {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 14px;
  align-items: center;
  margin-bottom: 10px;
}
h2 {
  font-size: 16px;
}
/* One line that scrolls: the jobs themselves stand below it. */
ol {
  display: flex;
  gap: 6px;
  overflow-x: auto;
}
a {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: var(--touch);
  padding: 2px 12px;
  color: var(--ink);
  text-decoration: none;
  white-space: nowrap;
}
a:hover {
  border-color: var(--muted);
}
@media (max-width: 860px) {
  .yours {
    grid-template-columns: minmax(0, 1fr);
    gap: 4px;
  }
  ol {
    display: grid;
    max-height: 40vh;
    overflow: auto;
  }
}
</style>
