<script setup lang="ts">
import type { PlannedStep } from '@dusk-wren/core/plan';
import { formatNumber, type Quantity } from '@dusk-wren/core/quantity';
import {
  responseAdvice,
  responseRun,
  RESPONSE_STEPS,
  StepFacts,
  type Move,
  type Response,
  type TaskOf,
} from '@dusk-wren/core/task';
import { computed, ref, shallowRef, watch } from 'vue';
import StrokeScale from '../../charts/StrokeScale.vue';
import XyChart, { type XySeries } from '../../charts/XyChart.vue';
import BenchButton from '../../parts/BenchButton.vue';
import { useJob } from '../../stores/job';
import { usePreferences } from '../../stores/preferences';
import InstrumentPick from '../InstrumentPick.vue';
import GainScrew from './GainScrew.vue';
import StepBar from '../StepBar.vue';
import './live-reading.css';
import { useStrokeBench } from './use-stroke-bench';

/** A valve asked small steps, three steps and a full stroke each way, one after the other, and its answers. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'measure'>; live: Response }>();
const job = useJob();
const { show } = usePreferences();
const bench = useStrokeBench(() => props.step.id);

type Figures = readonly { readonly what: string; readonly value: Quantity }[];
let run: ReturnType<typeof responseRun> | undefined;
const move = ref<Move>();
const figures = shallowRef<Figures>([]);
const answers = shallowRef<readonly { name: string; points: (readonly [number, number])[] }[]>([]);

function start(): void {
  [figures.value, answers.value, move.value] = [[], [], undefined];
  run = responseRun();
  bench.start();
}
function go(next: IteratorResult<Move, Figures> | undefined): void {
  if (!next) return;
  if (next.done === true) {
    [figures.value, move.value] = [next.value, undefined];
    bench.stop();
    return;
  }
  move.value = next.value;
  bench.put(next.value.signal);
}
watch(bench.now, (now, before) => {
  if (now && !before && !move.value) go(run?.next());
});
watch(bench.stands, (stood) => {
  const asked = move.value;
  if (stood === undefined || !asked || bench.signal.value !== asked.signal) return;
  const { samples, at } = bench.sinceSet();
  if (asked.kind === 'step')
    answers.value = [
      ...answers.value,
      { name: asked.saying, points: samples.map(({ seconds, value }) => [seconds - at, value] as const) },
    ];
  go(run?.next({ stood, samples, at }));
});
function keep(): void {
  const by = bench.instrument.value;
  if (!by) return;
  for (const { what, value } of figures.value)
    job.act({ kind: 'take-measurement', body: { step: props.step.id, what, value, readBy: by.id } });
  figures.value = [];
}

const answered = computed(() =>
  job.state ? responseAdvice(props.task, new StepFacts(job.state, props.step.id, true)) : undefined,
);

const COLOURS = ['--blue', '--lamp', '--fit'] as const;
/** The steps, and not the full strokes, which are read in seconds alone. */
const series = computed((): XySeries[] =>
  answers.value.slice(0, RESPONSE_STEPS.length).map(({ name, points }, i) => ({
    name,
    points: points.filter(([after]) => after > -1 && after < 8),
    colour: COLOURS[i] ?? '--muted',
  })),
);
</script>

<template>
  <div class="response">
    <InstrumentPick
      v-if="!bench.now.value || bench.trouble.value !== ''"
      :model-value="bench.picked.value"
      :choices="bench.choices.value"
      :instrument="bench.instrument.value"
      :trouble="bench.trouble.value"
      @update:model-value="bench.pick"
    />
    <div v-if="bench.now.value" class="live">
      <StrokeScale :travel="bench.now.value.travelPercent" :wanted="bench.signal.value" />
      <div>
        <p class="live-reading number">
          {{ formatNumber(bench.now.value.travelPercent, 1) }} <small>%</small>
        </p>
        <p class="label" role="status">{{ move?.saying ?? '' }}</p>
      </div>
    </div>
    <XyChart
      v-if="series.length > 0"
      :series="series"
      x="seconds from the step"
      y="travel, %"
      label="Travel after each step"
      :height="220"
    />
    <dl v-if="figures.length > 0" class="figures">
      <div v-for="{ what, value } in figures" :key="what">
        <dt class="label">{{ what }}</dt>
        <dd class="number">{{ show(value) }}</dd>
      </div>
    </dl>
    <GainScrew :step="step" :bench="bench" :screws="live.screws" :answered="answered" />
    <StepBar>
      <BenchButton v-if="figures.length > 0" lamp @press="keep">Keep how it answers</BenchButton>
      <BenchButton v-if="bench.running.value" @press="bench.stop">Stop, air off</BenchButton>
      <BenchButton v-else :lamp="figures.length === 0" @press="start">{{
        figures.length > 0 ? 'Run it again' : 'Air on, run it'
      }}</BenchButton>
    </StepBar>
  </div>
</template>

<style scoped>
.response {
  display: grid;
  gap: 10px;
}
.live {
  display: flex;
  gap: 18px;
}
.figures {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: 2px 22px;
  margin: 0;
}
.figures div {
  display: flex;
  gap: 10px;
  justify-content: space-between;
}
.figures dd {
  margin: 0;
}
</style>
