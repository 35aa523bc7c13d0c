<script setup lang="ts">
import { wordProblem } from '@dusk-wren/contract/wording';
import { RECORDING_ROLES, type RecordingRole } from '@dusk-wren/core/analysis';
import { must } from '@dusk-wren/core/problem';
import {
  formatNumber,
  parseQuantity,
  quantity,
  valueIn,
  type Area,
  type Length,
} from '@dusk-wren/core/quantity';
import { answerFrom, findWorking, type AnalysedRecording } from '@dusk-wren/core/workings';
import { wrap } from 'comlink';
import { computed, onBeforeUnmount, reactive, ref, shallowRef } from 'vue';
import XyChart, { type XySeries } from '../charts/XyChart.vue';
import FileDrop from '../parts/FileDrop.vue';
import QuantityField from '../parts/QuantityField.vue';
import { usePreferences } from '../stores/preferences';
import type { SignatureReader } from '../workers/signature.worker';
import FileAnswer from '../workings/FileAnswer.vue';
import { useOpenedFromJob } from '../workings/opened-from-job';
import { useRecentWorkings } from '../workings/recent';
import WaysBack from '../workings/WaysBack.vue';

/** A recorded stroke, dropped as a file: friction, bench set, seat and stick-slip, with the fitted lines. */
const preferences = usePreferences();
const recent = useRecentWorkings();
const worker = new Worker(new URL('../workers/signature.worker.ts', import.meta.url), { type: 'module' });
const reader = wrap<SignatureReader>(worker);
onBeforeUnmount(() => worker.terminate());

const working = must(findWorking('signature.analyse'));
const name = ref('');
const busy = ref(false);
const failed = ref('');
const took = ref(0);
const read = shallowRef<AnalysedRecording>();
const area = shallowRef<Area | undefined>(quantity('area', 46, 'in²'));
const travel = shallowRef<Length>();
const columns = reactive<Partial<Record<RecordingRole, string>>>({});

const { from, said } = useOpenedFromJob(
  () => working,
  (known) => {
    const [knownArea, knownTravel] = [
      parseQuantity(known['area'] ?? '', 'area'),
      parseQuantity(known['travel'] ?? '', 'length'),
    ];
    if (knownArea.ok) area.value = knownArea.value;
    if (knownTravel.ok) travel.value = knownTravel.value;
  },
);

async function take(file: File): Promise<void> {
  name.value = file.name;
  for (const role of RECORDING_ROLES) delete columns[role];
  await reading(async () => reader.open(new Uint8Array(await file.arrayBuffer())));
}
async function remap(role: RecordingRole, header: string): Promise<void> {
  if (header === '') delete columns[role];
  else columns[role] = header;
  await reading(() => reader.withColumns({ ...columns }));
}
async function reading(
  work: () => Promise<Awaited<ReturnType<typeof reader.open>> | undefined>,
): Promise<void> {
  busy.value = true;
  failed.value = '';
  const began = performance.now();
  try {
    const result = await work();
    if (result?.ok) {
      read.value = result.value;
      recent.used('signature.analyse');
    } else if (result) failed.value = wordProblem(result.problem);
  } catch {
    failed.value = 'This file could not be read. Nothing was changed.';
  } finally {
    took.value = performance.now() - began;
    busy.value = false;
  }
}

const answer = computed(() => {
  if (!read.value || !area.value) return undefined;
  const worked = answerFrom(read.value, {
    area: area.value,
    ...(travel.value ? { travel: travel.value } : {}),
  });
  return worked.ok ? worked.value : undefined;
});
const shown = computed(
  () => answer.value && { ...answer.value, result: Object.fromEntries(Object.entries(answer.value.result)) },
);
const title = computed(() => `Signature of ${name.value}`);
const units = computed(() =>
  preferences.units === 'US'
    ? ({ pressure: 'psig', travel: 'in' } as const)
    : ({ pressure: 'bar g', travel: 'mm' } as const),
);
const isLength = computed(() => read.value?.columns.travel?.dimension === 'length');
const series = computed((): XySeries[] => {
  const signature = read.value?.signature;
  if (!signature) return [];
  const at = (travelled: number) =>
    isLength.value ? valueIn(quantity('length', travelled, 'm'), units.value.travel) : travelled * 100;
  const pressure = (pascals: number) =>
    valueIn(quantity('gauge pressure', pascals, 'Pa g'), units.value.pressure);
  const trace = ({ travel: ts, pressure: ps }: { travel: number[]; pressure: number[] }) =>
    ts.map((each, i) => [at(each), pressure(ps[i] ?? 0)] as const);
  const fitted = ({ slope, intercept }: { slope: number; intercept: number }) =>
    [signature.closed, signature.open].map((each) => [at(each), pressure(intercept + slope * each)] as const);
  return [
    { name: 'opening stroke', points: trace(signature.loop.rising), colour: '--blue' },
    { name: 'closing stroke', points: trace(signature.loop.falling), colour: '--lamp' },
    { name: 'spring, friction removed', points: fitted(signature.mid), colour: '--fit', dashed: true },
    ...(signature.seat
      ? [
          {
            name: 'meets the seat',
            points: [[at(signature.seat.travel), pressure(signature.seat.contact)] as const],
            colour: '--renew',
            dots: true,
          },
        ]
      : []),
  ];
});
/** The travel, with a little room beyond both ends. */
const span = computed((): [number, number] | undefined => {
  const travels = series.value[0]?.points.map(([each]) => each) ?? [];
  const most = Math.max(...travels);
  const step = 10 ** Math.floor(Math.log10(most)) / 4;
  return Number.isFinite(step) && step > 0 ? [-step / 5, Math.ceil(most / step) * step] : undefined;
});
const headerOf = (role: RecordingRole) => {
  const column = read.value?.columns[role]?.column;
  return column === undefined ? '' : (read.value?.headers[column] ?? '');
};
</script>

<template>
  <div class="page signature">
    <WaysBack :from="from" />
    <header>
      <h1>Signature of a stroke recording</h1>
      <p>{{ working.meaning }}</p>
      <p v-if="said" class="label muted" role="status">{{ said }}</p>
    </header>
    <FileDrop
      class="no-print"
      label="Drop a CSV here: pressure and travel, with time and signal if there are. Columns in any order, units in the header."
      accept=".csv,.txt,text/csv"
      sample="/samples/stroke.csv"
      sample-name="stroke.csv"
      @file="take"
      @failed="failed = $event"
    />
    <p v-if="busy" class="label" role="status">Reading {{ name }}…</p>
    <p v-if="failed" class="problem" role="alert">{{ failed }}</p>
    <div v-if="read" class="halves">
      <section class="row-flat given">
        <p class="label">
          <b>{{ name }}</b>,
          <span class="muted">{{ read.rows }} rows in {{ formatNumber(took / 1000, 2) }} s</span>
        </p>
        <QuantityField v-model="area" label="Actuator area" dimension="area" example="46 in²" />
        <QuantityField
          v-if="!isLength"
          v-model="travel"
          label="Rated travel, for travel in percent"
          dimension="length"
          example="3/4 in"
        />
        <fieldset class="columns no-print">
          <legend class="label muted">Columns</legend>
          <v-select
            v-for="role in RECORDING_ROLES"
            :key="role"
            :label="role"
            :model-value="headerOf(role)"
            :items="['', ...read.headers]"
            @update:model-value="remap(role, $event ?? '')"
          />
        </fieldset>
        <details v-if="read.broken.count > 0">
          <summary class="label">{{ read.broken.count }} broken rows left out</summary>
          <ul>
            <li v-for="row in read.broken.named" :key="row.line">line {{ row.line }}: {{ row.why }}</li>
            <li v-if="read.broken.count > read.broken.named.length" class="muted">and more</li>
          </ul>
        </details>
      </section>
      <section class="row-flat answer" aria-live="polite" aria-label="Answer">
        <XyChart
          :series="series"
          :x="isLength ? `travel, ${units.travel}` : 'travel, %'"
          :y="`actuator pressure, ${units.pressure}`"
          label="Pressure against travel, both ways"
          :height="330"
          :span="span"
        />
        <FileAnswer v-if="shown" :title="title" :working="working" :answer="shown" :from="from" />
        <p v-else class="muted">Still wanted: the actuator area.</p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.signature {
  display: grid;
  gap: 10px;
}
.halves {
  display: grid;
  grid-template-columns: minmax(260px, 1fr) minmax(0, 2.2fr);
  gap: 12px;
  align-items: start;
}
.given,
.answer {
  padding: 16px;
  display: grid;
  gap: 12px;
  min-width: 0;
}
.columns {
  border: 0;
  padding: 8px 0 0;
  display: grid;
  gap: 8px;
}
@media (max-width: 860px) {
  .halves {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
