<script setup lang="ts">
import { makeItDead, setOut, shuffled } from '@dusk-wren/core/drill';
import { chance } from '@dusk-wren/core/simulation';
import { SIDES } from '@dusk-wren/core/isolation';
import { computed } from 'vue';
import LineDrawing from '../../drawings/LineDrawing.vue';
import BenchButton from '../../parts/BenchButton.vue';
import { useBench } from '../sitting';

/** A valve in its line: its points in no order, the places where zero is proved, a gauge that may lie. */
const { exercise, moves, over, play, ticket } = useBench(makeItDead);
const at = computed(() => setOut(exercise, moves.value));
const points = shuffled(exercise.points, chance(ticket.seed));
const looked = (kind: string) =>
  at.value.after.has(kind) ? 'looked at twice' : at.value.before.has(kind) ? 'looked at once' : '';
</script>

<template>
  <div class="dead">
    <LineDrawing :line="exercise.line" tag="the valve" :done="at.done" />
    <section aria-labelledby="points-of-line">
      <h2 id="points-of-line">Shut, let out, hold</h2>
      <ul>
        <li v-for="point in points" :key="point.id">
          <button
            type="button"
            class="label"
            :disabled="over || at.done.has(point.id)"
            @click="play({ do: 'point', point: point.id })"
          >
            {{ point.title }} <span v-if="at.done.has(point.id)" class="muted">done</span>
          </button>
        </li>
      </ul>
    </section>
    <section aria-labelledby="prove-zero">
      <h2 id="prove-zero">Prove it</h2>
      <ul>
        <li v-for="energy in exercise.energies" :key="energy.kind">
          <button type="button" class="label" :disabled="over" @click="play({ do: 'look', at: energy.kind })">
            Look: {{ energy.where }} <span class="muted">{{ looked(energy.kind) }}</span>
          </button>
        </li>
      </ul>
      <div class="row">
        <BenchButton :disabled="over" @press="play({ do: 'try live' })"
          >Try the gauge on live air</BenchButton
        >
        <BenchButton :disabled="over" @press="play({ do: 'another gauge' })">Take another gauge</BenchButton>
        <BenchButton
          v-for="side in SIDES"
          :key="side"
          :disabled="over || at.shutFurther.has(side)"
          @press="play({ do: 'shut further away', side })"
          >Have it shut further away {{ side }}</BenchButton
        >
        <BenchButton lamp :disabled="over" @press="play({ do: 'call it dead' })">It is dead</BenchButton>
      </div>
    </section>
  </div>
</template>

<style scoped>
.dead {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 16px 24px;
}
.dead > :first-child {
  grid-column: 1 / -1;
}
section {
  display: grid;
  gap: 8px;
  align-content: start;
}
li button {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  align-items: center;
  width: 100%;
  min-height: var(--touch);
  padding: 6px 12px;
  font-size: 16px;
  text-align: left;
  color: var(--ink);
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: var(--radius);
  cursor: pointer;
}
li + li {
  margin-top: 6px;
}
li button:disabled {
  color: var(--muted);
  cursor: default;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
@media (max-width: 760px) {
  .dead {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
