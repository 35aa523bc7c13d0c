<script setup lang="ts">
import { comesOffNext, takenApart } from '@dusk-wren/core/drill';
import { partsOf } from '@dusk-wren/core/valve';
import { computed } from 'vue';
import SectionDrawing from '../../drawings/SectionDrawing.vue';
import { useBench } from '../sitting';

/** The valve in section, taken apart and put together by pointing at its parts. */
const { exercise, moves, over, play, ticket } = useBench(comesOffNext);
const at = computed(() => takenApart(exercise, moves.value));
const parts = partsOf(exercise.valve);
/** From here on the numbers alone say which is which. */
const NAMELESS_FROM = 4;
const isNamed = ticket.level < NAMELESS_FROM;
const off = computed(() => [...at.value.off]);
</script>

<template>
  <div class="apart">
    <div class="drawing">
      <SectionDrawing
        :valve="exercise.valve"
        :calls="new Map()"
        :in-hand="[]"
        :order="off"
        :off="off.length"
        @pick="over || play({ part: $event })"
      />
    </div>
    <div class="side">
      <p class="label task">
        {{
          at.phase === 'apart'
            ? 'Point at what is worked on next, until all that comes apart is apart.'
            : 'Now together again: point at what goes back next.'
        }}
      </p>
      <p class="number" role="status">{{ at.done.size }} of {{ exercise.pieces.length }}</p>
      <ol v-if="isNamed" class="parts label" aria-label="Parts">
        <li v-for="part in parts" :key="part.role">
          <button
            type="button"
            :disabled="over"
            :class="{ off: at.off.has(part.role) }"
            @click="play({ part: part.role })"
          >
            <b class="number">{{ part.number }}</b> {{ part.name }}
            <span v-if="at.off.has(part.role)" class="muted">off</span>
          </button>
        </li>
      </ol>
    </div>
  </div>
</template>

<style scoped>
.apart {
  display: grid;
  grid-template-columns: minmax(0, 1.35fr) minmax(240px, 1fr);
  gap: 18px;
}
.drawing {
  height: min(64vh, 640px);
}
.side {
  display: grid;
  gap: 8px;
  align-content: start;
}
.task {
  font-size: 17px;
  font-weight: 600;
}
.parts {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
  gap: 0 12px;
  max-height: min(54vh, 540px);
  overflow-y: auto;
}
.parts button {
  display: flex;
  gap: 8px;
  align-items: baseline;
  width: 100%;
  min-height: var(--touch);
  padding: 10px 4px;
  font: inherit;
  text-align: left;
  color: var(--ink);
  background: none;
  border: 0;
  border-top: 1px solid var(--line);
  cursor: pointer;
}
.parts b {
  min-width: 24px;
}
.off {
  color: var(--muted) !important;
}
@media (max-width: 860px) {
  .apart {
    grid-template-columns: minmax(0, 1fr);
  }
  .drawing {
    height: min(60vh, 520px);
  }
  .parts {
    max-height: none;
  }
}
</style>
