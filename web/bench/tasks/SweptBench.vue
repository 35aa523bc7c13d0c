<script setup lang="ts">
import { analyseSignature, sweptEnds } from '@dusk-wren/core/analysis';
import type { PlannedStep } from '@dusk-wren/core/plan';
import { formatNumber, psig, quantity, si, valueIn } from '@dusk-wren/core/quantity';
import {
  StepFacts,
  SWEPT_ENDS,
  sweptAdvice,
  turnedSince,
  type Swept,
  type TaskOf,
} from '@dusk-wren/core/task';
import { computed, ref, watch } from 'vue';
import StrokeScale from '../../charts/StrokeScale.vue';
import XyChart from '../../charts/XyChart.vue';
import { useKeys } from '../../keys/keys';
import BenchButton from '../../parts/BenchButton.vue';
import { useJob } from '../../stores/job';
import { usePreferences } from '../../stores/preferences';
import { useScrewEffects } from '../../stores/screw-effects';
import InstrumentPick from '../InstrumentPick.vue';
import StepBar from '../StepBar.vue';
import './live-reading.css';
import AdvisedTurn from './AdvisedTurn.vue';
import { useStrokeBench } from './use-stroke-bench';
import { useTurnedScrew } from './use-turned-screw';

/** Bench air straight into the actuator, up and down: where travel starts and ends is found in the loop. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'measure'>; live: Swept }>();
const job = useJob();
const { show, parts } = usePreferences();
/** Slow enough that the casing follows its gauge. */
const SWEEP_SECONDS = 36;
/** A whole sweep at twenty readings a second, and what came before and after it on a screen that is slow to look. */
const WHOLE_SWEEP = 4 * 20 * SWEEP_SECONDS;
const bench = useStrokeBench(() => props.step.id, WHOLE_SWEEP);
const LOOP_POINTS = 120;
/** Seconds for the air to be out of the casing. */
const MOST_OUT = 3;
type Sample = (typeof bench.samples.value)[number];
const swept = ref<readonly Sample[]>([]);
/** Readings since the signal stood at its top, however many came at once. */
const down = computed(() => {
  const all = bench.samples.value;
  const top = all.findIndex(({ signalPercent }) => signalPercent > 90);
  return top < 0 ? [] : all.slice(top);
});
const isUp = computed(() => down.value.length > 0);
/** Down again and the last of the air out; what hangs on its friction is not waited for. */
const isOver = computed(() => {
  const out = down.value.find(({ signalPercent }) => signalPercent < 0.2);
  const last = down.value.at(-1);
  if (!out || !last) return false;
  return last.travelPercent < 2 || last.seconds - out.seconds > MOST_OUT;
});
watch(bench.now, (now, before) => {
  if (now && !before) bench.sweep(SWEEP_SECONDS);
  else if (now && isOver.value) end();
});
function run(): void {
  swept.value = [];
  bench.start();
}
function end(): void {
  swept.value = bench.samples.value;
  bench.stop();
}

const found = computed(() => {
  if (swept.value.length === 0) return undefined;
  const column = (of: (sample: Sample) => number) => Float64Array.from(swept.value, of);
  const signature = analyseSignature({
    time: column(({ seconds }) => seconds),
    signal: column(({ signalPercent }) => signalPercent / 100),
    pressure: column(({ drivenPsig }) => si(psig(drivenPsig))),
    travel: column(({ travelPercent }) => travelPercent / 100),
  });
  return typeof signature === 'string' ? signature : sweptEnds(signature);
});
const figures = computed(() => {
  const ends = found.value;
  if (!ends || typeof ends === 'string') return [];
  return SWEPT_ENDS.map((end) => ({
    what: props.live.reads[end],
    value: psig(
      Math.max(0, Math.round(valueIn(quantity('gauge pressure', ends[end], 'Pa g'), 'psig') * 100) / 100),
    ),
  }));
});
const loop = computed(() => {
  const every = Math.ceil(swept.value.length / LOOP_POINTS);
  const unit = parts(props.live.most).unit;
  const top = swept.value.findIndex(({ signalPercent }) => signalPercent > 99.5);
  const points = (from: number, to: number) =>
    swept.value
      .slice(from, to)
      .filter((_, i) => i % every === 0)
      .map(
        ({ drivenPsig, travelPercent }) => [Number(parts(psig(drivenPsig)).number), travelPercent] as const,
      );
  return {
    unit,
    series: [
      { name: 'air rising', points: points(0, top), colour: '--blue' },
      { name: 'air falling', points: points(top, swept.value.length), colour: '--lamp' },
    ],
  };
});
function keep(): void {
  const by = bench.instrument.value;
  if (!by) return;
  const kept = figures.value.every(({ what, value }) =>
    job.act({ kind: 'take-measurement', body: { step: props.step.id, what, value, readBy: by.id } }),
  );
  if (kept) swept.value = [];
}

const facts = computed(() => job.state && new StepFacts(job.state, props.step.id, false));
const taught = useScrewEffects();
const advice = computed(() => facts.value && sweptAdvice(props.task, props.live, facts.value, taught.value));
const waits = computed(
  () => facts.value !== undefined && turnedSince(Object.values(props.live.reads), facts.value).length > 0,
);
const { words, turn } = useTurnedScrew(
  () => props.step,
  () => advice.value,
  () => waits.value,
);
useKeys([{ key: 'enter', label: 'Keep what it reads', run: keep, when: () => figures.value.length > 0 }]);
</script>

<template>
  <div class="swept">
    <InstrumentPick
      v-if="!bench.now.value || bench.trouble.value !== ''"
      :model-value="bench.picked.value"
      :choices="bench.choices.value"
      :instrument="bench.instrument.value"
      :trouble="bench.trouble.value"
      @update:model-value="bench.pick"
    />
    <div v-if="bench.now.value" class="live">
      <StrokeScale :travel="bench.now.value.travelPercent" />
      <dl>
        <dt class="label">travel</dt>
        <dd class="live-reading number">
          {{ formatNumber(bench.now.value.travelPercent, 1) }} <small>%</small>
        </dd>
        <dt class="label">in the casing</dt>
        <dd class="live-reading number">
          {{ parts(psig(bench.now.value.drivenPsig)).number }}
          <small>{{ parts(psig(bench.now.value.drivenPsig)).unit }}</small>
        </dd>
        <dt class="label">{{ isUp ? 'air falling' : 'air rising' }}</dt>
        <dd class="label muted">up to {{ show(live.most) }} and down again</dd>
      </dl>
    </div>
    <template v-if="swept.length > 0">
      <XyChart
        :series="loop.series"
        :x="`in the casing, ${loop.unit}`"
        y="travel, %"
        label="Travel over the pressure in the casing, up and down"
        :height="230"
      />
      <ul v-if="figures.length > 0" class="found">
        <li v-for="{ what, value } in figures" :key="what">
          <span class="label">{{ what }}</span> <b class="number">{{ show(value) }}</b>
        </li>
      </ul>
      <p v-else class="problem" role="alert">
        No travel both ways in that: is the air on the right side, the stem free? Sweep it again, or type what
        the gauge showed.
      </p>
    </template>
    <AdvisedTurn
      v-if="advice"
      :advice="advice"
      :words="words"
      :waits="waits"
      :disabled="bench.running.value"
      @turn="turn"
    >
      <div class="label muted">
        Clockwise is taken to press the spring; the first move shows whether it does.
      </div>
    </AdvisedTurn>
    <StepBar>
      <BenchButton v-if="figures.length > 0" lamp @press="keep">Keep what it reads</BenchButton>
      <BenchButton v-if="bench.running.value" @press="bench.stop">Air off</BenchButton>
      <BenchButton v-else :lamp="figures.length === 0 && (!advice || waits)" @press="run">{{
        swept.length > 0 || advice ? 'Sweep it again' : 'Air on: sweep up and down'
      }}</BenchButton>
    </StepBar>
  </div>
</template>

<style scoped>
.swept {
  display: grid;
  gap: 10px;
}
.live {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 24px;
}
dl {
  display: grid;
  grid-template-columns: auto auto;
  gap: 4px 14px;
  align-content: start;
  align-items: baseline;
  margin: 0;
}
.found {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 22px;
  padding: 0;
  list-style: none;
}
.found b {
  font-size: 20px;
}
</style>
