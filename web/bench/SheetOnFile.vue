<script setup lang="ts">
import { filedSheet, plateNamesModel } from '@dusk-wren/core/job';
import { figuresOn } from '@dusk-wren/core/valve';
import { computed } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import { useJob } from '../stores/job';
import { usePreferences } from '../stores/preferences';
import { useSession } from '../stores/session';

/** The maker's sheet filed on this job: used here at once, and for every valve of its model once a second person has read it. */
const job = useJob();
const session = useSession();
const { show } = usePreferences();
const on = computed(() => job.state && filedSheet(job.state));
const sheet = computed(() => on.value?.filed.body.sheet);
const figures = computed(() => (sheet.value ? figuresOn(sheet.value) : []));
const ofPlate = computed(() => job.state && sheet.value && plateNamesModel(job.state, sheet.value.model));
const own = computed(() => on.value?.filed.by.id === session.person?.id);
function check(): void {
  if (on.value) job.act({ kind: 'check-makers-sheet', body: { filed: on.value.filed.seq } });
}
</script>

<template>
  <section v-if="on && sheet" class="sheet" aria-label="Maker’s sheet">
    <h3>Maker’s sheet of {{ sheet.model }}, revision {{ sheet.revision }}</h3>
    <p v-for="{ figure, value, page } in figures" :key="figure.key" class="label">
      {{ figure.words }} <b class="number">{{ show(value) }}</b>, page {{ page }}
    </p>
    <p v-if="on.fromShop" class="label">The shop’s, as it was when this job was opened.</p>
    <template v-else>
      <p class="muted label">Filed by {{ on.filed.by.name }}, {{ on.filed.by.role }}.</p>
      <p v-if="on.checked" class="label">
        Checked by {{ on.checked.by.name }}: the shop’s, for every {{ sheet.model }}.
      </p>
      <p v-else-if="!ofPlate" class="muted">
        The plate does not name this model: it is used on this job alone.
      </p>
      <p v-else-if="on.filed.by.role === 'lead'" class="label">The shop’s, for every {{ sheet.model }}.</p>
      <p v-else-if="own" class="muted">
        Used on this job. A second person who reads it against the maker’s paper makes it the shop’s.
      </p>
      <BenchButton v-else-if="job.summary?.state === 'open'" @press="check"
        >Read against the maker’s paper: use it for every {{ sheet.model }}</BenchButton
      >
    </template>
  </section>
</template>

<style scoped>
.sheet {
  display: grid;
  gap: 4px;
  padding: 12px 0;
  justify-items: start;
}
</style>
