<script setup lang="ts">
import type { WeekView } from '@dusk-wren/contract/week';
import type { Piece, Rail } from './rails';
import { sayKind } from '@dusk-wren/contract/planned';
import { sayAt } from './words';

/** The week where there is no room for rails: what lies on each, in order. */
const props = defineProps<{
  view: WeekView;
  rails: readonly Rail[];
  until: number;
  chosen: string | undefined;
}>();
defineEmits<{ choose: [piece: Piece] }>();
const soon = ({ pieces }: Rail) => pieces.filter(({ placing }) => placing.start < props.until);
</script>

<template>
  <section v-for="rail in rails" :key="rail.id" class="rail" :aria-label="rail.name">
    <h3 class="label">
      {{ rail.name }} <small>{{ rail.about }}</small>
    </h3>
    <p v-if="soon(rail).length === 0" class="muted">Nothing in these days.</p>
    <ol>
      <li v-for="piece in soon(rail)" :key="piece.key">
        <button
          type="button"
          class="row-flat label"
          :class="{ late: piece.isLate, begun: piece.isBegun }"
          :aria-pressed="chosen === piece.job.id"
          @click="$emit('choose', piece)"
        >
          <span class="number">{{ sayAt(view, piece.placing.start) }}</span>
          <b>{{ piece.job.tag }}</b>
          <span class="muted">{{ sayKind(piece.kind) }}</span>
        </button>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.rail {
  margin-top: 10px;
}
small {
  color: var(--muted);
}
ol {
  display: grid;
  gap: 4px;
}
button {
  display: grid;
  grid-template-columns: 96px minmax(0, 1fr) auto;
  gap: 10px;
  align-items: center;
  width: 100%;
  min-height: var(--touch);
  padding: 2px 12px;
  text-align: left;
  color: var(--ink);
  border-left-width: 5px;
}
button[aria-pressed='true'] {
  background: var(--lit);
}
.late {
  border-left-color: var(--condemn);
}
.begun {
  border-left-color: var(--lamp);
}
</style>
