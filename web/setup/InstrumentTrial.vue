<script setup lang="ts">
import { sayTrouble, type DriverSettings, type ReadingMessage } from '@dusk-wren/contract';
import { formatNumber, psig, quantity } from '@dusk-wren/core/quantity';
import { useIntervalFn } from '@vueuse/core';
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import { openReadings } from '../stores/open-readings';
import { usePreferences } from '../stores/preferences';
import { settingsQuery } from './driver-settings';

/** A driver that is tried as it is set, with nothing on it: what comes, and how often. */
const props = defineProps<{ driver: string; settings: DriverSettings; lacking: string }>();
const { show } = usePreferences();
/** Silent for longer than this, seconds, something is wrong. */
const SILENT = 5;

const last = shallowRef<ReadingMessage>();
const count = ref(0);
const seconds = ref(0);
const silent = ref(0);
const said = ref('');
const trouble = ref('');
let close: (() => void) | undefined;
const running = ref(false);
const clock = useIntervalFn(
  () => {
    seconds.value++;
    silent.value++;
  },
  1000,
  { immediate: false },
);
function stop(why = ''): void {
  close?.();
  close = undefined;
  clock.pause();
  [running.value, said.value] = [false, why];
}
function start(): void {
  stop();
  [last.value, count.value, seconds.value, silent.value, running.value] = [undefined, 0, 0, 0, true];
  const query = settingsQuery(props.settings);
  trouble.value = '';
  close = openReadings(`/api/setup/drivers/${encodeURIComponent(props.driver)}/trial?${query}`, {
    onReading: (reading) => {
      if (reading.kind === 'trouble') {
        trouble.value = sayTrouble(reading.trouble);
        silent.value = 0;
        return;
      }
      last.value = reading;
      count.value++;
      silent.value = 0;
    },
    onEnd: () => stop('It came to an end.'),
  });
  clock.resume();
}
// Set otherwise, it is another trial.
watch(
  () => props.settings,
  () => stop(),
);
onBeforeUnmount(() => stop());

const reads = computed(() => {
  const reading = last.value;
  switch (reading?.kind) {
    case undefined:
      return undefined;
    case 'dial':
      return show(quantity('length', reading.thou, 'thou'));
    case 'click':
      return show(quantity('torque', reading.lbfFt, 'lbf·ft'));
    case 'pressure':
    case 'rig':
      return show(psig(reading.psig));
    case 'bench':
      return `supply ${show(psig(reading.supplyPsig))}, actuator ${show(psig(reading.drivenPsig))}, signal ${formatNumber(reading.signalPercent, 1)} %, travel ${formatNumber(reading.travelPercent, 1)} %`;
    case 'check':
      return `supply ${show(psig(reading.supplyPsig))}`;
    case 'temperature':
      return show(quantity('temperature', reading.celsius, '°C'));
    case 'trouble':
      return undefined;
  }
});
const often = computed(() =>
  seconds.value < 2 ? '' : `, ${formatNumber(count.value / seconds.value, 1)} readings a second`,
);
const words = computed(() => {
  if (trouble.value !== '') return trouble.value;
  if (!running.value) return said.value;
  if (silent.value >= SILENT)
    return `Nothing has come for ${silent.value} s: is it switched on and connected?`;
  return reads.value === undefined
    ? 'Waiting for its first reading.'
    : `It reads ${reads.value}${often.value}.`;
});
</script>

<template>
  <div class="trial">
    <BenchButton v-if="running" @press="stop()">Stop trying</BenchButton>
    <BenchButton v-else :disabled="lacking !== ''" :lacking="lacking" @press="start">Try it</BenchButton>
    <p class="number" :class="{ problem: trouble !== '' }" role="status">{{ words }}</p>
  </div>
</template>

<style scoped>
.trial {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
  align-items: center;
}
</style>
