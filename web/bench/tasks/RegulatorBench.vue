<script setup lang="ts">
import type { PlannedStep } from '@dusk-wren/core/plan';
import { psig, valueIn, type Quantity } from '@dusk-wren/core/quantity';
import { regulatedAdvice, StepFacts, turnedSince, type Regulated, type TaskOf } from '@dusk-wren/core/task';
import { computed } from 'vue';
import PressureChart from '../../charts/PressureChart.vue';
import { useKeys } from '../../keys/keys';
import BenchButton from '../../parts/BenchButton.vue';
import { useJob } from '../../stores/job';
import { usePreferences } from '../../stores/preferences';
import InstrumentPick from '../InstrumentPick.vue';
import StepBar from '../StepBar.vue';
import './live-reading.css';
import { usePressureOnRig } from './use-pressure-on-rig';
import AdvisedTurn from './AdvisedTurn.vue';
import { useTurnedScrew } from './use-turned-screw';

/** The outlet of a regulator watched by the clock: each figure is taken when its time is up. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'measure'>; live: Regulated }>();
const job = useJob();
const { show, parts } = usePreferences();

const { samples, instrument, choices, picked, running, trouble, run, stop, now, unit, points } =
  usePressureOnRig(
    () => props.step.id,
    () => props.live.wanted,
  );
const ends = computed(() => Math.max(...props.live.reads.map(({ after }) => valueIn(after, 's'))));
/** The mean of a second about the moment: a gauge trembles. */
const found = computed(() =>
  props.live.reads.flatMap(({ what, after }): { what: string; value: Quantity<'gauge pressure'> }[] => {
    const at = valueIn(after, 's');
    if ((now.value?.seconds ?? 0) < at) return [];
    const about = samples.value.filter(({ seconds }) => Math.abs(seconds - at) <= 1);
    const mean = about.reduce((sum, each) => sum + each.psig, 0) / about.length;
    return [{ what, value: psig(Math.round(mean * 100) / 100) }];
  }),
);
const isOver = computed(() => !running.value && found.value.length === props.live.reads.length);
function keep(): void {
  const by = instrument.value;
  if (!by || !isOver.value) return;
  const kept = found.value.every(({ what, value }) =>
    job.act({ kind: 'take-measurement', body: { step: props.step.id, what, value, readBy: by.id } }),
  );
  if (kept) samples.value = [];
}

const facts = computed(() => job.state && new StepFacts(job.state, props.step.id, false));
const advice = computed(() => facts.value && regulatedAdvice(props.task, props.live, facts.value));
const whats = computed(() => props.live.reads.map(({ what }) => what));
const waits = computed(() => facts.value !== undefined && turnedSince(whats.value, facts.value).length > 0);
const { words, turn } = useTurnedScrew(
  () => props.step,
  () => advice.value,
  () => waits.value,
);
const begin = computed(() =>
  props.live.outlet === 'flowing' ? 'Inlet on, a little flow' : 'Shut the outlet slowly, watch it',
);
useKeys([{ key: 'enter', label: 'Keep what it reads', run: keep, when: () => isOver.value }]);
</script>

<template>
  <div class="regulator">
    <div class="live-rig">
      <PressureChart :points="points" :wanted="valueIn(live.wanted, unit)" :unit="unit" :span="ends + 2" />
      <div class="now" aria-live="off">
        <InstrumentPick v-model="picked" :choices="choices" :instrument="instrument" :trouble="trouble" />
        <p class="live-reading number">
          {{ now ? parts(psig(now.psig)).number : '–' }} <small>{{ unit }}</small>
        </p>
        <p class="label">
          {{
            now && running
              ? `${Math.floor(now.seconds)} s of ${ends} s`
              : live.outlet === 'shut'
                ? 'a small volume behind it, with a relief valve of its own'
                : 'inlet at what it works with'
          }}
        </p>
      </div>
    </div>
    <p v-for="{ what, value } in found" :key="what">
      <span class="label">{{ what }}</span> <b class="number">{{ show(value) }}</b>
    </p>
    <AdvisedTurn
      v-if="advice"
      :advice="advice"
      :words="words"
      :waits="waits"
      :disabled="running"
      @turn="turn"
    />
    <StepBar>
      <BenchButton v-if="isOver" lamp hint="enter" @press="keep">Keep what it reads</BenchButton>
      <BenchButton v-if="running" @press="stop">Stop, pressure off</BenchButton>
      <BenchButton v-else :lamp="!isOver && (!advice || waits)" @press="run">{{
        isOver ? 'Watch it again' : begin
      }}</BenchButton>
    </StepBar>
  </div>
</template>

<style scoped>
.regulator {
  display: grid;
  gap: 10px;
}
</style>
