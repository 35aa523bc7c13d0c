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
import CsvChooser from '../parts/CsvChooser.vue';
import RowByRow from '../parts/RowByRow.vue';
import { useSession } from '../stores/session';

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
const bad = computed(() => preview.value?.rows.filter(({ does }) => does === 'bad') ?? []);

async function chosen(file: { name: string; csv: string }): Promise<void> {
  [name.value, csv.value] = [file.name, file.csv];
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
      <CsvChooser @chosen="chosen" @failed="problem = $event" />
    </div>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p v-if="said" class="label" role="status">{{ said }}</p>
    <RowByRow v-if="preview" :name="name" :good="preview.good" :rows="preview.rows" @take="take" />
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
