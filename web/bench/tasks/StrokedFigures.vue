<script setup lang="ts">
import { psig, quantity, valueIn, type Quantity } from '@dusk-wren/core/quantity';
import type { PlannedStep } from '@dusk-wren/core/plan';
import {
  screwAdvice,
  StepFacts,
  turnedSince,
  type Stroked,
  type StrokedRead,
  type TaskOf,
} from '@dusk-wren/core/task';
import { computed } from 'vue';
import BenchButton from '../../parts/BenchButton.vue';
import { useJob } from '../../stores/job';
import { usePreferences } from '../../stores/preferences';
import { useScrewEffects } from '../../stores/screw-effects';
import StepBar from '../StepBar.vue';
import StrokeGauges from './StrokeGauges.vue';
import AdvisedTurn from './AdvisedTurn.vue';
import GainScrew from './GainScrew.vue';
import { useStrokeBench } from './use-stroke-bench';
import { useTurnedScrew } from './use-turned-screw';

/** Figures read off a valve on the bench at the signals asked for, and the screws that bring them right. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'measure'>; live: Stroked }>();
const job = useJob();
const { show } = usePreferences();
const bench = useStrokeBench(() => props.step.id);

const points = computed(() => [...new Set(props.live.reads.map(({ at }) => valueIn(at, '%')))]);
/** The figures that are read at the signal that is in. */
const here = computed(() => props.live.reads.filter(({ at }) => valueIn(at, '%') === bench.signal.value));
function valueOf({ off }: StrokedRead): Quantity | undefined {
  const read = bench.now.value;
  const stands = bench.stands.value;
  if (!read || stands === undefined) return undefined;
  if (off === 'travel') return quantity('ratio', Math.round(stands * 10) / 10, '%');
  return psig({ supply: read.supplyPsig, driven: read.drivenPsig, other: read.otherPsig ?? 0 }[off]);
}
const found = computed(() =>
  here.value.flatMap((read) => {
    const value = valueOf(read);
    return value ? [{ what: read.what, value }] : [];
  }),
);
function keep(): void {
  const by = bench.instrument.value;
  if (!by) return;
  for (const { what, value } of found.value)
    job.act({ kind: 'take-measurement', body: { step: props.step.id, what, value, readBy: by.id } });
  const next = points.value[points.value.indexOf(bench.signal.value) + 1];
  if (next !== undefined) bench.put(next);
}

const facts = computed(() => job.state && new StepFacts(job.state, props.step.id, false));
const taught = useScrewEffects();
const advice = computed(() => facts.value && screwAdvice(props.task, props.live, facts.value, taught.value));
const moved = computed(() => props.live.reads.filter(({ off }) => off !== 'supply').map(({ what }) => what));
const since = computed(() => (facts.value ? turnedSince(moved.value, facts.value) : []));
const waits = computed(() => advice.value !== undefined && since.value.includes(advice.value.screw));
/** The screw comes first: what is read without a turn would only be read again. */
const turnsNext = computed(() => advice.value !== undefined && !waits.value);
const { words, turn } = useTurnedScrew(
  () => props.step,
  () => advice.value,
  () => waits.value,
);
/** Turned, it is read from its first point again. */
function turned(turns: number): void {
  const [first] = points.value;
  if (turn(turns) && bench.now.value && first !== undefined) bench.put(first);
}
</script>

<template>
  <div class="stroked">
    <StrokeGauges :bench="bench" :at="points">
      <GainScrew :step="step" :bench="bench" :screws="live.screws" />
      <AdvisedTurn
        v-if="advice && bench.hunts.value === undefined"
        :advice="advice"
        :words="words"
        :waits="waits"
        :disabled="false"
        @turn="turned"
      />
    </StrokeGauges>
    <StepBar>
      <BenchButton v-if="!bench.running.value" lamp @press="bench.start">Air on, gauges live</BenchButton>
      <template v-else>
        <BenchButton
          v-if="here.length > 0"
          :lamp="!turnsNext && bench.hunts.value === undefined"
          :disabled="found.length === 0"
          lacking="once it stands"
          @press="keep"
          >{{
            found.length === 1 && found[0] ? `Keep ${show(found[0].value)}` : `Keep what is read`
          }}</BenchButton
        >
        <BenchButton @press="bench.stop">Air off</BenchButton>
      </template>
    </StepBar>
  </div>
</template>

<style scoped>
.stroked {
  display: grid;
  gap: 10px;
}
</style>
