<script setup lang="ts">
import {
  IMPORT_KINDS,
  importDone,
  importPreview,
  stockImportsView,
  type ImportKind,
  type ImportPreview,
  type StockImport,
} from '@dusk-wren/contract/stock';
import { useQueryCache } from '@pinia/colada';
import { computed, onMounted, ref } from 'vue';
import { sayDay, sayTime } from '../parts/dates';
import { ApiProblem, call } from '../api/client';
import BenchButton from '../parts/BenchButton.vue';
import { useSession } from '../stores/session';
import './stock-table.css';

/** The store as CSV files, out and in; what a file would do is shown row by row before anything is written. */
const session = useSession();
const cache = useQueryCache();
const kind = ref<ImportKind>('parts');
const csv = ref('');
const name = ref('');
const preview = ref<ImportPreview>();
const said = ref('');
const rows = (count: number) => (count === 1 ? '1 row' : `${count} rows`);
const isLead = computed(() => session.person?.role === 'lead');
const imports = ref<StockImport[]>([]);
/** The last file of this kind when the preview was made. */
const after = ref(0);
const problem = ref('');
const chooser = ref<HTMLInputElement>();
const bad = computed(() => preview.value?.rows.filter(({ does }) => does === 'bad') ?? []);
const shown = computed(() =>
  [...(preview.value?.rows ?? [])]
    .sort((a, b) => Number(b.does === 'bad') - Number(a.does === 'bad'))
    .slice(0, 200),
);

async function chosen(): Promise<void> {
  const file = chooser.value?.files?.[0];
  if (chooser.value) chooser.value.value = '';
  if (!file) return;
  if (file.size > 2_000_000) {
    problem.value = `${file.name} is larger than 2 MB. Split it; nothing was read.`;
    return;
  }
  name.value = file.name;
  csv.value = await file.text();
  await look();
}
async function tried<T>(work: () => Promise<T>): Promise<T | undefined> {
  problem.value = '';
  said.value = '';
  try {
    return await work();
  } catch (failure) {
    problem.value = failure instanceof ApiProblem ? failure.message : String(failure);
    return undefined;
  }
}
async function seeImports(): Promise<void> {
  const view = await tried(() => call('/store/imports', stockImportsView));
  imports.value = view?.imports ?? imports.value;
  after.value = imports.value.find((each) => each.kind === kind.value)?.id ?? 0;
}
onMounted(seeImports);
async function look(): Promise<void> {
  await seeImports();
  preview.value = await tried(() =>
    call('/store/import/preview', importPreview, {
      method: 'POST',
      body: { kind: kind.value, csv: csv.value },
    }),
  );
}
async function take(): Promise<void> {
  const done = await tried(() =>
    call('/store/import', importDone, {
      method: 'POST',
      body: { kind: kind.value, csv: csv.value, skipBad: bad.value.length > 0, after: after.value },
    }),
  );
  if (!done) return;
  said.value = `${rows(done.written)} taken${done.skipped > 0 ? `, ${done.skipped} left out` : ''}.`;
  preview.value = undefined;
  const words = said.value;
  await seeImports();
  said.value = words;
  await cache.invalidateQueries();
}
</script>

<template>
  <section class="files">
    <h2>To a file</h2>
    <p class="label links">
      <a v-for="each in IMPORT_KINDS" :key="each" :href="`/api/store/export/${each}.csv`" download
        >{{ each }}.csv</a
      >
    </p>
    <h2>From a file</h2>
    <p class="muted">
      The same columns as the file that comes out. Nothing is written before you have seen what it would do.
      <template v-if="!isLead">A lead brings files in.</template>
    </p>
    <div v-if="isLead" class="row">
      <v-select
        v-model="kind"
        label="The file holds"
        :items="[...IMPORT_KINDS]"
        @update:model-value="preview = undefined"
      />
      <input
        ref="chooser"
        type="file"
        accept=".csv,text/csv"
        class="visually-hidden"
        aria-label="CSV file"
        @change="chosen"
      />
      <BenchButton @press="chooser?.click()">Choose a file</BenchButton>
    </div>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p v-if="said" class="label" role="status">{{ said }}</p>
    <template v-if="preview">
      <p class="label" role="status">
        {{ name }}: {{ preview.good }} good, <b>{{ bad.length }} bad</b>.
      </p>
      <table class="store-table folds label">
        <thead>
          <tr>
            <th scope="col">Row</th>
            <th scope="col">What</th>
            <th scope="col">Does</th>
            <th scope="col">Why</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in shown" :key="row.row">
            <td class="number">{{ row.row }}</td>
            <td>{{ row.key }}</td>
            <td :class="{ problem: row.does === 'bad' }">{{ row.does }}</td>
            <td>{{ row.why.join('; ') }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="preview.rows.length > shown.length" class="muted">
        And {{ preview.rows.length - shown.length }} more rows.
      </p>
      <BenchButton lamp :disabled="preview.good === 0" @press="take">{{
        bad.length > 0 ? `Take ${rows(preview.good)}, leave ${bad.length}` : `Take ${rows(preview.good)}`
      }}</BenchButton>
    </template>
    <template v-if="imports.length > 0">
      <h2>Brought in before</h2>
      <ol class="label imports">
        <li v-for="each in imports" :key="each.id">
          {{ sayDay(each.at) }} {{ sayTime(each.at) }} · {{ each.kind }}: {{ rows(each.written)
          }}<template v-if="each.skipped > 0">, {{ each.skipped }} left out</template>, by {{ each.by }}
        </li>
      </ol>
    </template>
  </section>
</template>

<style scoped>
.files {
  display: grid;
  gap: 10px;
  justify-items: start;
}
.links {
  display: flex;
  gap: 20px;
}
.links a {
  min-width: var(--touch);
  min-height: var(--touch);
  display: inline-flex;
  align-items: center;
}
.row {
  display: grid;
  grid-template-columns: 260px auto;
  gap: 12px;
  align-items: start;
}
</style>
