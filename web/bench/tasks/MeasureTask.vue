<script setup lang="ts">
import { mdiCheck } from '@mdi/js';
import { counts } from '@dusk-wren/core/job';
import type { PlannedStep } from '@dusk-wren/core/plan';
import type { MeasureAsk, TaskOf } from '@dusk-wren/core/procedure';
import { psig, type Quantity } from '@dusk-wren/core/quantity';
import { computed, reactive, ref } from 'vue';
import BenchButton from '../../parts/BenchButton.vue';
import QuantityField from '../../parts/QuantityField.vue';
import { useJob } from '../../stores/job';
import { usePreferences } from '../../stores/preferences';
import InstrumentPick from '../InstrumentPick.vue';
import { useReadings } from '../use-readings';

/** Figures that a step asks for: typed as spoken, or read live where an instrument stands by. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'measure'> }>();
const job = useJob();
const { show, parts } = usePreferences();
const typed = reactive<Record<string, Quantity | undefined>>({});
const live = ref<Quantity>();
const { instrument, choices, picked, running, start, stop } = useReadings(
  'gauge',
  () => ({ step: props.step.id }),
  (reading) => {
    if (reading.kind === 'pressure') live.value = psig(reading.psig);
  },
);
const onGauge = computed(() => props.task.asks.find(({ mustBe }) => mustBe === 'zero'));

const shown = (ask: MeasureAsk) => {
  const entry = taken(ask);
  return entry ? show(entry.body.value) : '';
};
const taken = (ask: MeasureAsk) =>
  job.state?.records.measured.findLast(
    ({ body }) => body.step.id === props.step.id && body.what === ask.what,
  );
const isOff = (ask: MeasureAsk) => {
  const entry = taken(ask);
  return (
    entry !== undefined &&
    ask.mustBe === 'zero' &&
    (entry.body.value.value > 0.3 || !counts(entry.body.readBy))
  );
};

function take(ask: MeasureAsk, value: Quantity | undefined, by: 'hand' | 'instrument'): void {
  if (!value) return;
  const readBy = by === 'instrument' && instrument.value ? instrument.value.id : 'hand';
  if (job.act({ kind: 'take-measurement', body: { step: props.step.id, what: ask.what, value, readBy } }))
    typed[ask.what] = undefined;
}
</script>

<template>
  <div class="measure">
    <div v-if="onGauge" class="live">
      <InstrumentPick v-model="picked" :choices="choices" :instrument="instrument" />
      <p class="reading number" aria-live="off">
        <template v-if="live"
          >{{ parts(live).number }} <small>{{ parts(live).unit }}</small></template
        ><template v-else>–</template>
      </p>
      <div class="buttons">
        <BenchButton v-if="!running" lamp @press="start">Open the vent, watch the gauge</BenchButton>
        <template v-else>
          <BenchButton lamp @press="take(onGauge, live, 'instrument')">Take this reading</BenchButton>
          <BenchButton @press="stop">Stop watching</BenchButton>
        </template>
      </div>
      <p v-if="taken(onGauge) && isOff(onGauge)" class="problem" role="alert">
        Not at zero: {{ shown(onGauge) }}. Something still feeds it: a block valve may pass. Nothing is opened
        until it is found.
      </p>
    </div>
    <div v-for="ask in task.asks" :key="ask.what" class="ask">
      <QuantityField
        v-model="typed[ask.what]"
        :label="ask.what"
        :dimension="ask.dimension"
        :example="ask.example"
        @enter="take(ask, typed[ask.what], 'hand')"
      />
      <BenchButton :disabled="!typed[ask.what]" @press="take(ask, typed[ask.what], 'hand')">Keep</BenchButton>
      <span v-if="taken(ask) && !isOff(ask)" class="kept number fit"
        ><svg viewBox="0 0 24 24" width="18" height="18" aria-hidden="true">
          <path :d="mdiCheck" fill="currentColor" /></svg
        >{{ shown(ask) }}</span
      >
    </div>
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
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.ask {
  display: grid;
  grid-template-columns: minmax(0, 300px) auto minmax(0, 1fr);
  gap: 10px;
  align-items: start;
}
.kept {
  display: flex;
  gap: 4px;
  align-items: center;
  min-height: var(--touch);
}
</style>
