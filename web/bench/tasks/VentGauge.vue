<script setup lang="ts">
import { STEADY_FOR, steadiness, type Watched } from '@dusk-wren/core/isolation';
import type { InstrumentId } from '@dusk-wren/core/job';
import type { PlannedStep } from '@dusk-wren/core/plan';
import { preferredUnit, psig, seconds, si, valueIn, type Quantity } from '@dusk-wren/core/quantity';
import { computed, shallowRef, watch } from 'vue';
import PressureChart from '../../charts/PressureChart.vue';
import BenchButton from '../../parts/BenchButton.vue';
import { usePreferences } from '../../stores/preferences';
import InstrumentPick from '../InstrumentPick.vue';
import StepBar from '../StepBar.vue';
import './live-reading.css';
import { useReadings } from '../use-readings';

/** A gauge at an opened vent, watched as a curve: falling, or standing, and only then kept. */
const props = defineProps<{ step: PlannedStep; again: boolean }>();
const emit = defineEmits<{ take: [reads: Quantity, by: InstrumentId, watched: readonly Watched[]] }>();
const { show, parts, units } = usePreferences();

const looks = shallowRef<readonly Watched[]>([]);
/** As far back as it takes to tell that it stands, and to see how it came there. */
const LOOKED_BACK = 190;
const live = computed(() => looks.value.at(-1)?.reads);
const stands = computed(() => steadiness(looks.value));
const { instrument, choices, picked, running, trouble, isBlind, start, stop } = useReadings(
  'gauge',
  () => ({ step: props.step.id }),
  (reading) => {
    if (reading.kind !== 'pressure') return;
    const look = { after: seconds(reading.seconds), reads: psig(reading.psig) };
    looks.value = [...looks.value.slice(-LOOKED_BACK), look];
  },
);
// What was seen before it was lost is watched anew.
watch(isBlind, (is) => {
  if (is) looks.value = [];
});
function watchGauge(): void {
  looks.value = [];
  start();
}
const unit = computed(() => (preferredUnit(psig(1), units) === 'psig' ? 'psig' : 'bar g'));
const points = computed(() =>
  looks.value.map(({ after, reads }) => [si(after), valueIn(reads, unit.value)] as const),
);
const span = computed(() => Math.max(15, Math.ceil((points.value.at(-1)?.[0] ?? 0) / 5) * 5));
const words = computed(() => {
  if (stands.value.kind === 'steady') return `Steady for ${show(STEADY_FOR)}.`;
  if (stands.value.kind === 'moving')
    return `Still falling: ${show(stands.value.change)} in ${show(STEADY_FOR)}. It is kept only once it stands.`;
  return 'Watched for too short a time yet.';
});
function take(): void {
  if (live.value && instrument.value) emit('take', live.value, instrument.value.id, looks.value);
}
</script>

<template>
  <div class="live">
    <div class="now">
      <InstrumentPick v-model="picked" :choices="choices" :instrument="instrument" :trouble="trouble" />
      <p class="live-reading number" aria-live="off">
        <template v-if="live"
          >{{ parts(live).number }} <small>{{ parts(live).unit }}</small></template
        ><template v-else>–</template>
      </p>
    </div>
    <PressureChart v-if="looks.length > 0" :points="points" :wanted="0" :unit="unit" :span="span" />
    <p v-if="running" class="label" role="status">
      {{ words }}
    </p>
    <StepBar>
      <BenchButton v-if="!running" lamp @press="watchGauge">{{
        again ? 'Watch the gauge again' : 'Open the vent, watch the gauge'
      }}</BenchButton>
      <template v-else>
        <BenchButton
          lamp
          :disabled="stands.kind !== 'steady'"
          :lacking="stands.kind === 'moving' ? 'still falling' : 'once it stands'"
          @press="take"
          >Take this reading</BenchButton
        >
        <BenchButton @press="stop">Stop watching</BenchButton>
      </template>
    </StepBar>
  </div>
</template>

<style scoped>
.live {
  display: grid;
  gap: 8px;
}
.now {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
  align-items: center;
}
</style>
