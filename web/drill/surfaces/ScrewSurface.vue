<script setup lang="ts">
import { screwed, whichScrew } from '@dusk-wren/core/drill';
import { capital, formatNumber, formatPercent } from '@dusk-wren/core/quantity';
import type { PositionerScrew } from '@dusk-wren/core/simulation';
import { computed, ref } from 'vue';
import ScrewHead from '../../charts/ScrewHead.vue';
import StrokeScale from '../../charts/StrokeScale.vue';
import BenchButton from '../../parts/BenchButton.vue';
import { useBench } from '../sitting';
import TurnBy from './TurnBy.vue';

/** A positioner on the bench: its screws are turned, the valve is stroked, the figures say what that did. */
const { exercise, moves, over, play } = useBench(whichScrew);
const at = computed(() => screwed(exercise, moves.value));
const last = computed(() => at.value.strokes.at(-1));
const NAMES: Readonly<Record<PositionerScrew, string>> = {
  zero: 'zero',
  span: 'span',
  nozzle: 'nozzle (balance)',
};
const does = (screw: PositionerScrew) =>
  `${exercise.per[screw] > 0 ? '+' : '−'}${formatNumber(Math.abs(exercise.per[screw]) * 100, 1)} % a turn clockwise`;
const shownAt = ref(2);
const shown = computed(() => last.value?.travel[shownAt.value]);
const percent = (share: number) => formatNumber(share * 100, 1);
</script>

<template>
  <div class="screws">
    <section class="bench" aria-label="The stroke">
      <StrokeScale v-if="shown" :travel="shown.stands * 100" :wanted="shown.signal * 100" />
      <table v-if="last" class="label">
        <thead>
          <tr>
            <th>Signal</th>
            <th>Stands at</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(point, i) in last.travel" :key="point.signal" :class="{ shown: i === shownAt }">
            <td>
              <button type="button" class="number" :aria-pressed="i === shownAt" @click="shownAt = i">
                {{ percent(point.signal) }} %
              </button>
            </td>
            <td class="number">{{ percent(point.stands) }} %</td>
          </tr>
        </tbody>
      </table>
      <p v-if="last && exercise.screws.includes('nozzle')" class="label">
        Each side of the cylinder at <b class="number">{{ percent(last.balance) }} %</b> of supply.
      </p>
      <p class="label muted">
        {{ last ? '' : 'Not stroked yet.' }} Within {{ formatPercent(exercise.travelWithin) }} of travel.
        {{ formatNumber(at.turns, 2) }} turns so far.
      </p>
    </section>
    <section class="turning" aria-label="The screws">
      <div v-for="screw in exercise.screws" :key="screw" class="screw row-flat">
        <ScrewHead :way="undefined" />
        <p>
          <b>{{ capital(NAMES[screw]) }}</b>
          <span class="label muted said">{{
            exercise.sheetKnown ? does(screw) : 'what a turn does is not known'
          }}</span>
        </p>
        <TurnBy
          :label="`Turns of ${screw}`"
          :least="1 / 8"
          :most="5"
          :usual="0.5"
          :ways="['Anticlockwise', 'Clockwise']"
          :disabled="over"
          @turn="play({ do: 'turn', screw, by: $event })"
        />
      </div>
      <div class="ways">
        <BenchButton lamp :disabled="over" @press="play({ do: 'stroke' })">Stroke it</BenchButton>
        <BenchButton :disabled="over" @press="play({ do: 'done' })">It is in</BenchButton>
      </div>
    </section>
  </div>
</template>

<style scoped>
.screws {
  display: grid;
  grid-template-columns: minmax(260px, 380px) minmax(0, 1fr);
  gap: 20px 28px;
}
.bench {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 12px;
  align-content: start;
}
.bench p {
  grid-column: 1 / -1;
}
table {
  border-collapse: collapse;
  align-self: start;
}
th {
  text-align: left;
  color: var(--muted);
}
td {
  padding: 0 16px 0 0;
  vertical-align: middle;
  border-top: 1px solid var(--line);
}
td button {
  min-width: 72px;
  min-height: var(--touch);
  color: var(--ink);
  text-align: left;
  background: none;
  border: 0;
  cursor: pointer;
}
.shown td {
  box-shadow: inset 0 -3px 0 var(--lamp);
}
.turning {
  display: grid;
  gap: 10px;
  align-content: start;
}
.screw {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  gap: 6px 14px;
  align-items: center;
  padding: 8px 14px;
}
.said {
  display: block;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
@media (max-width: 1100px) {
  .screw {
    grid-template-columns: auto minmax(0, 1fr);
  }
  .screw > :last-child {
    grid-column: 1 / -1;
  }
}
@media (max-width: 760px) {
  .screws {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
