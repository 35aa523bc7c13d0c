<script setup lang="ts">
import { formatNumber, psig, quantity, valueIn, type Quantity } from '@dusk-wren/core/quantity';
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
import WorkingPaper from '../../parts/WorkingPaper.vue';
import { useJob } from '../../stores/job';
import { usePreferences } from '../../stores/preferences';
import StepBar from '../StepBar.vue';
import StrokeGauges from './StrokeGauges.vue';
import TurnScrew from './TurnScrew.vue';
import { useStrokeBench } from './use-stroke-bench';

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
const advice = computed(() => facts.value && screwAdvice(props.task, props.live, facts.value));
const moved = computed(() => props.live.reads.filter(({ off }) => off !== 'supply').map(({ what }) => what));
const since = computed(() => (facts.value ? turnedSince(moved.value, facts.value) : []));
const words = computed(() => {
  const to = advice.value;
  if (!to) return '';
  if (since.value.includes(to.screw))
    return 'turned since it was read. Read it again: what that did is seen then.';
  const turns = valueIn(to.turn, 'turn');
  if (turns === 0) return 'it moves nothing: it slips, or is at its stop. Look at it.';
  const way = turns > 0 ? 'clockwise' : 'anticlockwise';
  const aim =
    to.comesTo.length > 0
      ? `; it should come to ${to.comesTo.map((each) => show(each)).join(' and ')}`
      : ', to see what it does';
  return `${formatNumber(Math.abs(turns), 2)} turns ${way}${aim}.`;
});
/** The screw comes first: what is read without a turn would only be read again. */
const turnsNext = computed(() => advice.value !== undefined && !since.value.includes(advice.value.screw));
function turn(turns: number): void {
  const { screw } = advice.value ?? {};
  if (screw === undefined) return;
  const by = quantity('angle', turns, 'turn');
  if (!job.act({ kind: 'turn-screw', body: { step: props.step.id, screw, by } })) return;
  bench.turned(screw, turns);
  const [first] = points.value;
  if (bench.now.value && first !== undefined) bench.put(first);
}
</script>

<template>
  <div class="stroked">
    <StrokeGauges :bench="bench" :at="points" />
    <TurnScrew
      v-if="advice"
      :screw="advice.screw"
      :advised="valueIn(advice.turn, 'turn')"
      :words="words"
      :waits="since.includes(advice.screw)"
      :disabled="false"
      @turn="turn"
    >
      <WorkingPaper
        :steps="advice.worked.steps"
        :notes="advice.worked.notes"
        :source="advice.worked.source"
      />
    </TurnScrew>
    <StepBar>
      <BenchButton v-if="!bench.running.value" lamp @press="bench.start">Air on, gauges live</BenchButton>
      <template v-else>
        <BenchButton
          v-if="here.length > 0"
          :lamp="!turnsNext"
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
