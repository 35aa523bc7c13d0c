<script setup lang="ts">
import { plotPath } from '@dusk-wren/core/analysis';
import { offDrawn, strokeNotes, type StrokeSheet } from '@dusk-wren/core/certificate';
import { formatNumber } from '@dusk-wren/core/quantity';
import { computed } from 'vue';
import './kept-plot.css';
import ContactRing from '../parts/ContactRing.vue';

/** A stroke test as paper shows it: what it is judged by, how far it was off, each point. */
const props = defineProps<{ sheet: StrokeSheet }>();
const box = computed(() => ({ width: 400, height: 120, right: 100, top: 2 * props.sheet.most }));
const path = (off: StrokeSheet['up']) => plotPath(offDrawn(off, props.sheet.most), box.value);
const words = computed(
  () =>
    `${props.sheet.step}: ${props.sheet.verdicts.map(({ label, found }) => `${label} ${found}`).join(', ')}`,
);
</script>

<template>
  <div class="sheet kept-plot">
    <ul>
      <li v-for="{ label, found, limit, fits } in sheet.verdicts" :key="label">
        <ContactRing :verdict="fits ? 'fit' : 'rework'" /> {{ label }} <b class="number">{{ found }}</b>
        <span class="label muted">limit {{ limit }}</span>
      </li>
    </ul>
    <svg viewBox="-6 -10 412 162" role="img" :aria-label="words">
      <path d="M0 0V120H400" class="axis" />
      <path d="M0 60H400" class="grid" />
      <text x="4" y="12">+{{ formatNumber(sheet.most, 2) }} % of travel</text>
      <text x="400" y="140" class="end">signal, 0 to 100 %</text>
      <template v-if="sheet.was">
        <path :d="path(sheet.was.up)" class="curve was" stroke-dasharray="2 5" />
        <path :d="path(sheet.was.down)" class="curve was" stroke-dasharray="2 5" />
      </template>
      <path v-if="sheet.recording" :d="path(sheet.recording.off)" class="curve thin" />
      <path :d="path(sheet.up)" class="curve" />
      <path :d="path(sheet.down)" class="curve" stroke-dasharray="9 5" />
    </svg>
    <table>
      <tbody>
        <tr v-for="way in ['signal', 'up', 'down'] as const" :key="way">
          <th scope="row" class="label">
            {{ way === 'up' ? 'up (whole line)' : way === 'down' ? 'down (dashed)' : way }}
          </th>
          <td v-for="point in sheet.points" :key="point.signal" class="number">{{ point[way] }}</td>
        </tr>
      </tbody>
    </table>
    <p v-for="note in strokeNotes(sheet)" :key="note" class="label muted">{{ note }}</p>
  </div>
</template>

<style scoped>
.sheet {
  display: grid;
  gap: 6px;
  max-width: 520px;
}
svg .thin {
  stroke-width: 0.8;
}
svg .was {
  stroke: var(--muted);
}
ul {
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}
th {
  font-weight: 400;
  text-align: left;
}
td {
  text-align: right;
}
</style>
