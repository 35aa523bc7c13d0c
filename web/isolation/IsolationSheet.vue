<script setup lang="ts">
import { isolationSheet } from '@dusk-wren/core/certificate';
import { lineOf } from '@dusk-wren/core/job';
import { DEFER } from '@dusk-wren/core/procedure';
import { computed } from 'vue';
import { sayDay, sayTime } from '../parts/dates';
import LineDrawing from '../drawings/LineDrawing.vue';
import ContactRing from '../parts/ContactRing.vue';
import '../parts/table.css';
import { useJob } from '../stores/job';
import { usePreferences } from '../stores/preferences';

/** How the valve stands, each point with its lock, each energy with its reading, two signatures. */
const job = useJob();
const preferences = usePreferences();
const sheet = computed(() => job.state && isolationSheet(job.state, preferences.units));
const line = computed(() => job.state && lineOf(job.state));
const done = computed(
  () => new Set((sheet.value?.points ?? []).filter(({ by, off }) => by && !off).map(({ id }) => id)),
);
const RINGS = { open: 'not yet', proved: 'fit', 'not at zero': 'condemn', held: 'ask' } as const;
const WORDS = {
  open: 'not proved yet',
  proved: 'proved',
  'not at zero': 'not gone: stop',
  held: 'stays loaded until the strip',
} as const;
const when = (at: string) => `${sayDay(at)} ${sayTime(at)}`;
</script>

<template>
  <div class="sheet">
    <p v-if="!sheet" class="row-flat none">
      It came in bare: no line to isolate. Its decontamination certificate is on the plan.
    </p>
    <template v-else>
      <p v-if="sheet.stopped" class="problem stop" role="alert">
        Stop. An energy was read and is not gone: a block valve may pass. Find what feeds it; nothing is
        opened until its reading is right.
      </p>
      <div class="halves">
        <section class="row-flat">
          <h2>How it stands</h2>
          <LineDrawing v-if="line" :line="line" :tag="job.planned?.valve.tag ?? ''" :done="done" />
          <ul class="label">
            <li v-for="each in sheet.stands" :key="each">{{ each }}</li>
            <li v-for="each in sheet.stored" :key="each">
              <b>Stored: {{ each }}</b>
            </li>
          </ul>
        </section>
        <section class="row-flat">
          <h2>Energies, each proved gone</h2>
          <ul class="energies">
            <li v-for="each in sheet.energies" :key="each.where + each.how" class="label">
              <ContactRing :verdict="RINGS[each.state]" :size="22" />
              <span
                ><b>{{ each.where }}</b> <span class="muted">{{ each.how }}</span></span
              >
              <span class="state"
                ><b v-if="each.reading" class="number">{{ each.reading }}</b> {{ WORDS[each.state] }}
                <small v-if="each.by && each.at" class="muted"
                  >{{ each.by }}, {{ when(each.at)
                  }}<template v-if="each.simulated">, simulated</template></small
                ></span
              >
            </li>
          </ul>
        </section>
      </div>
      <section class="row-flat">
        <h2>Points, in order; taken off in the mirror order</h2>
        <table class="label store-table folds">
          <thead>
            <tr>
              <th>#</th>
              <th>Point</th>
              <th>Lock</th>
              <th>Tag</th>
              <th>On</th>
              <th>Off</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(each, i) in sheet.points" :key="each.id">
              <td class="number">{{ i + 1 }}</td>
              <td>
                <b>{{ each.title }}</b>
              </td>
              <td data-label="Lock" class="number">{{ each.lock ?? (each.locked ? 'wanted' : '–') }}</td>
              <td data-label="Tag" class="number">{{ each.tag ?? '–' }}</td>
              <td data-label="On">{{ each.by && each.at ? `${each.by}, ${when(each.at)}` : 'not yet' }}</td>
              <td data-label="Off">{{ each.off ? `${each.off.by}, ${when(each.off.at)}` : '' }}</td>
            </tr>
          </tbody>
        </table>
      </section>
      <section v-for="each in sheet.signings" :key="each.title" class="row-flat signing">
        <h2>{{ each.title }}</h2>
        <p v-for="side in each.sides" :key="side.words" class="label">
          <ContactRing :verdict="side.by ? 'fit' : 'not yet'" :size="20" /> {{ side.words }}:
          <b>{{ side.by && side.at ? `${side.by}, ${when(side.at)}` : 'not signed' }}</b>
        </p>
      </section>
      <p class="muted">{{ DEFER }}</p>
    </template>
  </div>
</template>

<style scoped>
.sheet {
  display: grid;
  gap: 12px;
}
.halves {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 12px;
}
section,
.none {
  padding: 12px 16px;
  display: grid;
  gap: 8px;
  align-content: start;
}
.stop {
  padding: 10px 16px;
  border: 1px solid var(--condemn);
  border-left-width: 5px;
  border-radius: var(--radius);
  font-weight: 600;
}
.energies li {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) minmax(120px, 38%);
  gap: 10px;
  padding: 6px 0;
  border-top: 1px solid var(--line);
}
.state {
  text-align: right;
}
small {
  display: block;
  font-size: 14px;
}
.signing p {
  display: flex;
  gap: 8px;
  align-items: center;
}
@media (max-width: 860px) {
  .halves {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
