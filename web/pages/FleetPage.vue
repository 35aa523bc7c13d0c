<script setup lang="ts">
import { FLEET_MONTHS, type PartLived } from '@dusk-wren/contract';
import { CAUSE_IDS, CAUSES } from '@dusk-wren/core/diagnosis';
import { capital, formatNumber } from '@dusk-wren/core/quantity';
import { CONSTRUCTIONS } from '@dusk-wren/core/valve';
import { useMediaQuery } from '@vueuse/core';
import { computed, ref, useTemplateRef, watch } from 'vue';
import { useFleet, type Behind } from '../fleet/fleet';
import JobsBehind from '../fleet/JobsBehind.vue';
import PartLife from '../fleet/PartLife.vue';
import TallyBars from '../fleet/TallyBars.vue';
import ChoiceRow from '../parts/ChoiceRow.vue';
import RegisterHeading from '../register/RegisterHeading.vue';

/** What all valves say together: which cost most, what ails them, how old their parts become, what comes back. */
const { months, customer, rate, narrowed, data, error, kits, customers } = useFleet();
const WORDS = { 12: 'A year', 36: 'Three years', 96: 'Eight years' } as const;

const behind = ref<Behind>();
const part = ref<PartLived>();
function look(at: Behind): void {
  [behind.value, part.value] = [at, undefined];
}
/** On a narrow screen it comes above: it is gone to. */
const beside = useTemplateRef<HTMLElement>('beside');
const isNarrow = useMediaQuery('(max-width: 900px)');
watch([behind, part], () => isNarrow.value && beside.value?.scrollIntoView?.(), { flush: 'post' });
const causeName = (cause: string): string => {
  const known = CAUSE_IDS.find((id) => id === cause);
  return known ? CAUSES[known].name : cause;
};
const money = (amount: number) => formatNumber(amount, 0);
const times = (count: number) => (count === 1 ? 'once' : count === 2 ? 'twice' : `${count} times`);

const worst = computed(() =>
  (data.value?.worst ?? []).map(({ valve, tag, customer: whose, jobs, minutes, cost, cause }) => ({
    ...{ key: valve, words: tag, amount: cost, says: money(cost) },
    also: [whose, `here ${times(jobs)}`, `${formatNumber(minutes / 60, 0)} h`, cause]
      .filter(Boolean)
      .join(' · '),
  })),
);
const causes = computed(() =>
  (data.value?.causes ?? []).map(({ what, count }) => ({
    ...{ key: what, words: causeName(what), amount: count, says: String(count) },
  })),
);
const found = computed(() =>
  (data.value?.found ?? []).map(({ what, count }) => ({
    ...{ key: what, words: `Found ${what}`, amount: count, says: String(count) },
  })),
);
const partKey = ({ construction, part: role }: PartLived) => `${construction} ${role}`;
const parts = computed(() =>
  (data.value?.parts ?? []).map((each) => ({
    ...{ key: partKey(each), words: capital(each.part), amount: each.failed + each.unknown },
    also: CONSTRUCTIONS[each.construction].name,
    says: `${each.failed + each.unknown} failed of ${each.failed + each.unknown + each.others}`,
  })),
);
const pickPart = (key: string) => {
  behind.value = undefined;
  part.value = data.value?.parts.find((each) => partKey(each) === key);
};
const unused = computed(() =>
  (kits.value?.kits ?? []).flatMap(({ title, jobs, lines }) => {
    const never = lines.filter(({ used }) => used === 0).map(({ name }) => name);
    return never.length === 0 ? [] : [{ title, jobs, never }];
  }),
);
</script>

<template>
  <div class="page fleet">
    <RegisterHeading title="All valves together" />
    <div class="narrow">
      <ChoiceRow
        label="How far back"
        :options="FLEET_MONTHS.map((value) => ({ value, label: WORDS[value] }))"
        :picked="months"
        @pick="months = $event"
      />
      <v-select v-model="customer" label="Customer" :items="customers" clearable hide-details />
      <v-text-field
        v-model.number="rate"
        type="number"
        min="0"
        max="10000"
        label="An hour costs"
        hide-details
      />
      <nav class="files label" aria-label="Failures after ISO 14224">
        <a class="way" :href="`/api/fleet/failures.csv?${narrowed}`" download>Failures, CSV</a>
        <a class="way" :href="`/api/fleet/failures.json?${narrowed}`" download>JSON</a>
      </nav>
    </div>
    <p v-if="error" class="problem" role="alert">{{ error.message }}</p>
    <p v-if="data && data.jobs === 0" class="row-flat nothing">
      No certificate was signed in that time. Every signed job counts here from then on.
    </p>
    <div v-else-if="data" class="halves">
      <div class="charts">
        <p>
          <b class="number">{{ data.jobs }}</b> jobs on <b class="number">{{ data.valves }}</b> valves;
          <button
            v-if="data.cameBack > 0"
            type="button"
            class="link-button"
            @click="look({ kind: 'cameBack', key: 'yes', words: 'Back within ninety days' })"
          >
            {{ data.cameBack }} came back within ninety days
          </button>
          <template v-else>none came back within ninety days.</template>
        </p>
        <TallyBars
          title="What cost most"
          :lines="worst"
          :picked="behind?.key"
          @pick="
            (key) => look({ kind: 'valve', key, words: worst.find((each) => each.key === key)?.words ?? '' })
          "
        />
        <TallyBars
          title="What ailed them"
          :lines="causes"
          :picked="behind?.key"
          @pick="(key) => look({ kind: 'cause', key, words: causeName(key) })"
        />
        <TallyBars
          title="How they were found"
          :lines="found"
          :picked="behind?.key"
          @pick="(key) => look({ kind: 'found', key, words: `Found ${key}` })"
        />
        <TallyBars
          title="Parts that failed"
          :lines="parts"
          :picked="part && partKey(part)"
          @pick="pickPart"
        />
        <section v-if="unused.length > 0" aria-label="Kits">
          <h2>Paid for in kits, and never used</h2>
          <p v-for="{ title, jobs, never } in unused" :key="title">
            <b>{{ title }}</b>, {{ jobs === 1 ? '1 job' : `${jobs} jobs` }}: {{ never.join(', ') }}
          </p>
        </section>
      </div>
      <div ref="beside" class="beside">
        <JobsBehind
          v-if="behind"
          :key="`${behind.kind} ${behind.key} ${narrowed}`"
          :narrowed="narrowed"
          :behind="behind"
        />
        <template v-else-if="part">
          <PartLife :key="partKey(part)" :of="part" />
          <JobsBehind
            :key="`jobs ${partKey(part)} ${narrowed}`"
            :narrowed="narrowed"
            :behind="{
              kind: 'part',
              key: part.part,
              of: part.construction,
              words: 'Jobs that found it failed',
            }"
          />
        </template>
        <p v-else class="row-flat nothing muted">Press a line: what is behind it comes here.</p>
      </div>
    </div>
  </div>
</template>

<style scoped>
.fleet,
.charts,
.beside {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
  align-content: start;
}
.narrow,
.files {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
  align-items: center;
}
.narrow > :nth-child(2) {
  flex: 0 1 280px;
  min-width: 180px;
}
.narrow > :nth-child(3) {
  flex: 0 0 130px;
}
.halves {
  display: grid;
  grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr);
  gap: 20px;
}
.beside {
  position: sticky;
  top: 12px;
}
.nothing {
  padding: 14px;
}
@media (max-width: 900px) {
  .halves {
    grid-template-columns: minmax(0, 1fr);
  }
  .beside {
    position: static;
    grid-row: 1;
  }
}
</style>
