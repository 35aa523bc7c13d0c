<script setup lang="ts">
import type { ReadingMessage } from '@dusk-wren/contract';
import { quantity, type Quantity } from '@dusk-wren/core/quantity';
import { computed, shallowRef } from 'vue';
import BenchButton from '../../parts/BenchButton.vue';
import InstrumentPick from '../InstrumentPick.vue';
import StepBar from '../StepBar.vue';
import { usePreferences } from '../../stores/preferences';
import { useReadings } from '../use-readings';

interface Words {
  readonly begin: string;
  readonly wait: string;
  readonly end: string;
  readonly figure: (reading: ReadingMessage) => Quantity | undefined;
}
const READ = {
  'torque wrench': {
    ...{ begin: 'Wrench in hand', wait: 'Pull until it clicks', end: 'Wrench down' },
    figure: (reading) => (reading.kind === 'click' ? quantity('torque', reading.lbfFt, 'lbf·ft') : undefined),
  },
  thermometer: {
    ...{ begin: 'Thermometer on it', wait: 'Waits for it to read', end: 'Thermometer off' },
    figure: (reading) =>
      reading.kind === 'temperature' ? quantity('temperature', reading.celsius, '°C') : undefined,
  },
} as const satisfies Record<string, Words>;

/** One figure read off its instrument itself: what it showed last is kept, with which instrument it was. */
const props = defineProps<{ step: string; kind: keyof typeof READ }>();
const emit = defineEmits<{ read: [value: Quantity, instrument: string] }>();
const { show } = usePreferences();
const words: Words = READ[props.kind];
const last = shallowRef<Quantity>();
const { instrument, choices, picked, running, trouble, isBlind, start, stop } = useReadings(
  props.kind,
  () => ({ step: props.step }),
  (reading) => (last.value = words.figure(reading) ?? last.value),
);
const listened = computed(() => choices.value.filter(({ lines }) => lines === undefined));
if (instrument.value?.lines !== undefined) picked.value = listened.value[0]?.id;
const shown = computed(() => (isBlind.value ? undefined : last.value));
function begin(): void {
  last.value = undefined;
  start();
}
function keep(): void {
  if (shown.value && instrument.value) emit('read', shown.value, instrument.value.id);
  stop();
}
</script>

<template>
  <div class="one-reading">
    <InstrumentPick v-model="picked" :choices="listened" :instrument="instrument" :trouble="trouble" />
    <StepBar>
      <BenchButton v-if="!running" @press="begin">{{ words.begin }}</BenchButton>
      <template v-else>
        <BenchButton lamp :disabled="!shown" @press="keep">
          {{ shown ? `Keep ${show(shown)}` : words.wait }}
        </BenchButton>
        <BenchButton @press="stop">{{ words.end }}</BenchButton>
      </template>
    </StepBar>
  </div>
</template>

<style scoped>
.one-reading {
  display: grid;
  gap: 8px;
}
</style>
