<script setup lang="ts">
import type { Id, Placing, Week } from '@dusk-wren/core/schedule';
import { computed } from 'vue';
import { lanesOf } from './lanes';

/** The plan of a file, by its places and people: each operation under the name of its job. */
const props = defineProps<{ week: Week; plan: readonly Placing[] }>();
const end = computed(() => Math.max(1, ...props.plan.map((each) => each.end)));
const rails = computed(() => {
  const rail = (kind: 'place' | 'person', id: Id) => ({
    key: `${kind} ${id}`,
    name: String(id),
    pieces: inLanes(props.plan.filter((each) => each[kind] === id)),
  });
  return [
    ...props.week.places.map(({ id }) => rail('place', id)),
    ...props.week.people.map(({ id }) => rail('person', id)),
  ];
});
function inLanes(pieces: readonly Placing[]) {
  const inOrder = pieces.toSorted((a, b) => a.start - b.start);
  const lanes = lanesOf(inOrder);
  return inOrder.map((piece, i) => ({ ...piece, lane: lanes[i] ?? 0 }));
}
const LANE = 26;
const share = (minutes: number) => `${(minutes / end.value) * 100}%`;
const high = (pieces: readonly { lane: number }[]) =>
  (Math.max(0, ...pieces.map(({ lane }) => lane)) + 1) * LANE;
</script>

<template>
  <div class="rails label">
    <div v-for="{ key, name, pieces } in rails" :key="key" class="rail">
      <b>{{ name }}</b>
      <ol :style="{ height: `${high(pieces) + 6}px` }" :aria-label="name">
        <li
          v-for="piece in pieces"
          :key="`${piece.job} ${piece.id}`"
          :title="`${piece.job}, ${piece.id}: ${piece.start} to ${piece.end}`"
          :style="{
            left: share(piece.start),
            width: share(piece.end - piece.start),
            top: `${piece.lane * LANE + 3}px`,
          }"
        >
          {{ piece.job }}
        </li>
      </ol>
    </div>
  </div>
</template>

<style scoped>
.rail {
  display: grid;
  grid-template-columns: 90px minmax(0, 1fr);
  align-items: center;
  border-bottom: 1px solid var(--line);
}
ol {
  position: relative;
  padding: 0;
  margin: 0;
  list-style: none;
}
li {
  position: absolute;
  height: 24px;
  padding-left: 4px;
  overflow: hidden;
  font-size: 14px;
  white-space: nowrap;
  background: color-mix(in srgb, var(--ink) 13%, var(--card));
  border: 1px solid var(--muted);
  border-radius: 3px;
}
</style>
