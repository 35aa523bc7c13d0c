<script setup lang="ts">
import { mdiCheck } from '@mdi/js';
import { STEADY_FOR, steadiness, type Watched } from '@dusk-wren/core/isolation';
import { counts, onStep } from '@dusk-wren/core/job';
import type { PlannedStep } from '@dusk-wren/core/plan';
import { apartBy, meets, type MeasureAsk, type TaskOf } from '@dusk-wren/core/task';
import { format, psig, seconds, si, valueIn, type Quantity } from '@dusk-wren/core/quantity';
import { computed, nextTick, reactive, shallowRef, useTemplateRef } from 'vue';
import { toEmptyField } from '../../keys/fields';
import BenchButton from '../../parts/BenchButton.vue';
import QuantityField from '../../parts/QuantityField.vue';
import WorkingPaper from '../../parts/WorkingPaper.vue';
import { useJob } from '../../stores/job';
import { usePreferences } from '../../stores/preferences';
import InstrumentPick from '../InstrumentPick.vue';
import StepBar from '../StepBar.vue';
import { useReadings } from '../use-readings';
import WrenchReading from './WrenchReading.vue';

/** Figures that a step asks for: typed as spoken, or read live where an instrument stands by. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'measure'> }>();
const job = useJob();
const preferences = usePreferences();
const { show, parts } = preferences;
const typed = reactive<Record<string, Quantity | undefined>>({});
/** What the gauge showed since it is watched, as far back as it takes to tell that it stands. */
const looks = shallowRef<readonly Watched[]>([]);
const LOOKED_BACK = 100;
const live = computed(() => looks.value.at(-1)?.reads);
const stands = computed(() => steadiness(looks.value));
const { instrument, choices, picked, running, start, stop } = useReadings(
  'gauge',
  () => ({ step: props.step.id }),
  (reading) => {
    if (reading.kind !== 'pressure') return;
    const look = { after: seconds(reading.seconds), reads: psig(reading.psig) };
    looks.value = [...looks.value.slice(-LOOKED_BACK), look];
  },
);
function watchGauge(): void {
  looks.value = [];
  start();
}
const onGauge = computed(() =>
  props.task.asks.find(({ mustBe, instrument: kind }) => mustBe === 'zero' && kind === 'gauge'),
);

const onWrench = computed(() => props.task.asks.find(({ instrument: kind }) => kind === 'torque wrench'));
function pulled(ask: MeasureAsk, value: Quantity, readBy: string): void {
  const body = { step: props.step.id, what: ask.what, value, readBy };
  if (job.act({ kind: 'take-measurement', body })) typed[ask.what] = undefined;
}

const shown = (ask: MeasureAsk) => {
  const entry = taken(ask);
  return entry ? show(entry.body.value) : '';
};
const on = (step: string, { what }: MeasureAsk) =>
  job.state && onStep(job.state, 'measured', step).findLast(({ body }) => body.what === what);
const taken = (ask: MeasureAsk) => on(props.step.id, ask);
const isOff = (ask: MeasureAsk) => {
  const entry = taken(ask);
  return (
    entry !== undefined &&
    ask.mustBe !== undefined &&
    (!meets(ask, entry.body.value) || !counts(entry.body.readBy))
  );
};

/** The figures that it must lie between, or below. */
function wantedWords({ mustBe }: MeasureAsk): string {
  if (mustBe === undefined || mustBe === 'zero') return '';
  if ('below' in mustBe) return `below ${show(mustBe.below)}`;
  const [from, to] = [show(mustBe.from), show(mustBe.to)];
  return from === to ? from : `${from} to ${to}`;
}

/** What is wrong with a reading that is not what the step asks for. */
function offWords({ mustBe }: MeasureAsk): string {
  if (mustBe === undefined || mustBe === 'zero') return 'not yet. Nothing is opened until it is.';
  return 'below' in mustBe
    ? 'not yet. Nothing goes on until it is.'
    : 'outside that. Put it right and take it again.';
}

/** How far the readings that must agree are apart, where it is too far. */
const apart = computed(() =>
  apartBy(
    props.task,
    new Map(
      props.task.asks.flatMap((ask) => {
        const entry = taken(ask);
        return entry ? [[ask.what, entry.body.value] as const] : [];
      }),
    ),
  ),
);

/** What the same figure was before, and how far this one is from it. */
const before = (ask: MeasureAsk) => (ask.was === undefined ? undefined : on(ask.was, ask)?.body.value);
const wasShown = (ask: MeasureAsk) => {
  const was = before(ask);
  return was ? show(was) : '';
};
function difference(ask: MeasureAsk): string {
  const [was, now] = [before(ask), taken(ask)?.body.value];
  if (!was || !now) return '';
  const by: Quantity = {
    dimension: was.dimension,
    value: valueIn(now, was.unit) - was.value,
    unit: was.unit,
  };
  return Math.abs(si(by)) < 1e-9 ? 'as it was' : `${si(by) > 0 ? '+' : ''}${show(by)}`;
}

const fields = useTemplateRef<HTMLElement>('fields');
const ready = computed(() => props.task.asks.filter(({ what }) => typed[what] !== undefined));
function keepAll(): void {
  for (const ask of ready.value) take(ask, typed[ask.what], 'hand');
}
/** Keeps one figure, and the hand goes to the next that is not taken. */
async function keepAndOn(ask: MeasureAsk): Promise<void> {
  take(ask, typed[ask.what], 'hand');
  await nextTick();
  const next = fields.value?.querySelector('.ask:not(.taken)');
  if (next) toEmptyField(next);
}

function take(ask: MeasureAsk, value: Quantity | undefined, by: 'hand' | 'instrument'): void {
  if (!value) return;
  const read =
    by === 'instrument' && instrument.value
      ? { readBy: instrument.value.id, watched: [...looks.value] }
      : { readBy: 'hand' as const };
  if (job.act({ kind: 'take-measurement', body: { step: props.step.id, what: ask.what, value, ...read } }))
    typed[ask.what] = undefined;
}
</script>

<template>
  <div ref="fields" class="measure">
    <div v-if="onGauge" class="live">
      <InstrumentPick v-model="picked" :choices="choices" :instrument="instrument" />
      <p class="reading number" aria-live="off">
        <template v-if="live"
          >{{ parts(live).number }} <small>{{ parts(live).unit }}</small></template
        ><template v-else>–</template>
      </p>
      <StepBar>
        <BenchButton v-if="!running" lamp @press="watchGauge">Open the vent, watch the gauge</BenchButton>
        <template v-else>
          <BenchButton
            lamp
            :disabled="stands.kind !== 'steady'"
            lacking="once it stands"
            @press="take(onGauge, live, 'instrument')"
            >Take this reading</BenchButton
          >
          <BenchButton @press="stop">Stop watching</BenchButton>
        </template>
      </StepBar>
      <p v-if="running" class="label" :class="stands.kind === 'steady' ? 'fit' : 'muted'" role="status">
        <template v-if="stands.kind === 'steady'"
          >Steady for {{ format(STEADY_FOR, preferences.units) }}.</template
        >
        <template v-else-if="stands.kind === 'moving'"
          >Still moving: {{ format(stands.change, preferences.units) }} in
          {{ format(STEADY_FOR, preferences.units) }}. It is kept only once it stands.</template
        >
        <template v-else>Watched for too short a time yet.</template>
      </p>
      <p v-if="taken(onGauge) && isOff(onGauge)" class="problem" role="alert">
        Not at zero: {{ shown(onGauge) }}. Something still feeds it: a block valve may pass. Nothing is opened
        until it is found.
      </p>
    </div>
    <WrenchReading
      v-if="onWrench"
      :step="step.id"
      @read="(torque, wrench) => onWrench && pulled(onWrench, torque, wrench)"
    />
    <div v-for="ask in task.asks" :key="ask.what" class="ask" :class="{ taken: taken(ask) }">
      <QuantityField
        v-model="typed[ask.what]"
        :label="ask.what"
        :dimension="ask.dimension"
        :example="ask.example"
        @enter="keepAndOn(ask)"
      />
      <span v-if="before(ask)" class="label muted was"
        >was {{ wasShown(ask) }} <b>{{ difference(ask) }}</b></span
      >
      <span v-if="wantedWords(ask)" class="label muted was">wanted {{ wantedWords(ask) }}</span>
      <span v-if="taken(ask) && isOff(ask) && ask !== onGauge" class="problem" role="alert"
        >{{ shown(ask) }}: {{ offWords(ask) }}</span
      >
      <span v-else-if="taken(ask) && !isOff(ask)" class="kept number fit"
        ><svg viewBox="0 0 24 24" width="18" height="18" aria-hidden="true">
          <path :d="mdiCheck" fill="currentColor" /></svg
        >{{ shown(ask) }}</span
      >
    </div>
    <p v-if="apart && task.agree" class="problem" role="alert">
      {{ show(apart) }} apart, {{ show(task.agree.within) }} at most: again, until they agree; else look
      inside.
    </p>
    <StepBar>
      <BenchButton
        :lamp="!onGauge && !onWrench"
        :disabled="ready.length === 0"
        lacking="type a figure"
        @press="keepAll"
        >{{ ready.length > 1 ? `Keep all ${ready.length}` : 'Keep' }}</BenchButton
      >
    </StepBar>
    <WorkingPaper
      v-if="task.shown"
      :steps="task.shown.steps"
      :notes="task.shown.notes"
      :source="task.shown.source"
    />
  </div>
</template>

<style scoped>
.measure {
  display: grid;
  gap: 10px;
}
.live {
  display: grid;
  gap: 8px;
}
.reading {
  font-size: 46px;
  line-height: 1;
  color: var(--blue);
}
small {
  font-size: 24px;
}
.ask {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: start;
}
.ask > :first-child {
  flex: 0 1 230px;
}
.was {
  align-self: center;
}
.kept {
  display: flex;
  gap: 4px;
  align-items: center;
  min-height: var(--touch);
}
</style>
