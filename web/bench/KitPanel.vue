<script setup lang="ts">
import { kitsView } from '@dusk-wren/contract/stock';
import { checkKit, kitFor, type Counted, type KitVerdict } from '@dusk-wren/core/stock';
import { useQuery } from '@pinia/colada';
import { computed, ref, watch } from 'vue';
import { call } from '../api/client';
import { isoDay } from '../parts/dates';
import BenchButton from '../parts/BenchButton.vue';
import ContactRing from '../parts/ContactRing.vue';
import { useJob } from '../stores/job';

/** The bag against its printed sheet: counted line by line, or scanned, and judged as it is counted. */
const job = useJob();
const { data, error } = useQuery({ key: () => ['kits'], query: () => call('/store/kits', kitsView) });
const sheets = computed(() =>
  (data.value?.kits ?? []).filter(({ construction }) => construction === job.planned?.valve.construction),
);
const sheet = computed(() => sheets.value[0]);
const kit = ref<string | null>(null);
const counts = ref<Record<string, number>>({});
const dates = ref<Record<string, string>>({});
const scan = ref('');
const said = ref('');

const last = computed(() => job.state?.records['kit-checked'].at(-1));
watch(
  [sheet, () => job.planned?.valve.features],
  () => {
    if (!sheet.value || !job.planned || kit.value !== null) return;
    kit.value = last.value?.body.kit ?? kitFor(sheet.value, job.planned.valve) ?? null;
    for (const { line, count, cureDate } of last.value?.body.found ?? []) {
      counts.value[line] = count;
      if (cureDate !== undefined) dates.value[line] = cureDate;
    }
  },
  { immediate: true },
);

const counted = computed<Counted[]>(() =>
  (sheet.value?.lines ?? []).map(({ line }) => {
    const cureDate = dates.value[line]?.trim();
    return { line, count: counts.value[line] ?? 0, ...(cureDate ? { cureDate } : {}) };
  }),
);
const check = computed(() => {
  const { planned } = job;
  if (!sheet.value || !planned || kit.value === null) return undefined;
  return checkKit({
    sheet: sheet.value,
    kit: kit.value,
    valve: planned.valve,
    plan: planned,
    counted: counted.value,
    today: isoDay(new Date()),
  });
});
const elastomer = (line: string) => sheet.value?.lines.find((each) => each.line === line)?.elastomer;

const RINGS: Readonly<Record<KitVerdict, 'fit' | 'renew' | 'ask' | 'condemn' | 'not yet'>> = {
  'belongs and present': 'fit',
  'belongs and missing': 'renew',
  'not for this variant': 'not yet',
  'not for this valve': 'condemn',
  'in no kit': 'ask',
};
const SAYS: Readonly<Record<KitVerdict, string>> = {
  'belongs and present': 'belongs, here',
  'belongs and missing': 'belongs, missing',
  'not for this variant': 'not for this variant',
  'not for this valve': 'not for this valve',
  'in no kit': 'needed, never in the kit',
};

/** A scanner types the line or the name and ends with enter: one more of it lies on the bench. */
function scanned(): void {
  const text = scan.value.trim().toLowerCase();
  const found = sheet.value?.lines.find(
    ({ line, name }) => line.toLowerCase() === text || name.toLowerCase() === text,
  );
  said.value = found ? `${found.name}: one more` : `“${scan.value}” is on no line of this sheet.`;
  if (found) counts.value[found.line] = (counts.value[found.line] ?? 0) + 1;
  scan.value = '';
}
function record(): void {
  if (!sheet.value || kit.value === null) return;
  job.act({
    kind: 'check-kit',
    body: { sheet: sheet.value.number, kit: kit.value, found: [...counted.value] },
  });
}
</script>

<template>
  <div class="kit">
    <p v-if="error" class="problem" role="alert">
      The kit sheets could not be fetched. Nothing counted is lost.
    </p>
    <p v-else-if="data && !sheet" class="muted">
      No kit sheet is on file for this construction. A lead takes one in under Store, Files.
    </p>
    <template v-else-if="sheet">
      <p class="label">
        Sheet <b>{{ sheet.number }}</b>, {{ sheet.title }}
      </p>
      <div class="row">
        <v-select
          v-model="kit"
          label="Kit in the bag"
          :items="sheet.kits.map(({ code }) => code)"
          density="comfortable"
        />
        <form class="scan" @submit.prevent="scanned">
          <v-text-field v-model="scan" label="Scan or type a line" autocomplete="off" />
        </form>
      </div>
      <p class="label muted" role="status">{{ said }}</p>
      <ul v-if="check" class="rows">
        <li v-for="row in check.rows" :key="row.line || row.part" :class="RINGS[row.verdict]">
          <span class="number line">{{ row.line }}</span>
          <span class="what label"
            ><b>{{ row.name }}</b>
            <span class="verdict"><ContactRing :verdict="RINGS[row.verdict]" /> {{ SAYS[row.verdict] }}</span>
            <span class="muted">{{ row.words }}</span>
            <span v-if="row.seal" class="seal" :class="row.seal.verdict"
              ><b>{{
                row.seal.verdict === 'fit' ? 'seal good' : row.seal.verdict === 'ask' ? 'ask' : 'stop'
              }}</b
              >: {{ row.seal.reasons.join('; ') }}</span
            >
          </span>
          <template v-if="row.line">
            <label class="count label"
              ><span class="visually-hidden">{{ row.name }} in the bag</span>
              <input
                v-model.number="counts[row.line]"
                type="number"
                min="0"
                max="99"
                inputmode="numeric"
                placeholder="0"
            /></label>
            <label v-if="elastomer(row.line)" class="count date label"
              ><span class="visually-hidden">Cure date of {{ row.name }}</span>
              <input v-model="dates[row.line]" placeholder="cure 2Q25" maxlength="20"
            /></label>
            <span v-else />
          </template>
          <template v-else><span /><span /></template>
        </li>
      </ul>
      <div class="buttons">
        <BenchButton v-if="job.summary?.state === 'open'" :disabled="!check" @press="record"
          >Keep this count</BenchButton
        >
        <span v-if="check" class="label" role="status">{{
          check.complete ? 'The kit is whole.' : 'The kit is not whole: what is missing or stopped is marked.'
        }}</span>
        <span v-if="last" class="label muted">Last counted by {{ last.by.name }}.</span>
      </div>
    </template>
    <p v-else class="muted">Fetching the sheets…</p>
  </div>
</template>

<style scoped>
.kit {
  display: grid;
  gap: 8px;
  align-content: start;
}
.row {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
.rows li {
  display: grid;
  grid-template-columns: 22px minmax(0, 1fr) 64px 110px;
  gap: 10px;
  align-items: center;
  padding: 6px 0;
  border-top: 1px solid var(--line);
}
.what {
  display: flex;
  flex-wrap: wrap;
  gap: 1px 10px;
}
.verdict {
  white-space: nowrap;
}
.seal {
  flex-basis: 100%;
  color: var(--muted);
}
.seal.stop,
.seal.stop b {
  color: var(--condemn);
}
.seal.ask b {
  color: var(--ask);
}
input {
  width: 100%;
  min-height: var(--touch);
  box-sizing: border-box;
  padding: 0 8px;
  font: inherit;
  color: var(--ink);
  background: var(--ground);
  border: 1px solid var(--muted);
  border-radius: var(--radius);
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
@media (max-width: 700px) {
  .row {
    grid-template-columns: 1fr;
  }
  .rows li {
    grid-template-columns: 22px minmax(0, 1fr) 64px;
  }
  .date {
    grid-column: 2 / -1;
  }
}
</style>
