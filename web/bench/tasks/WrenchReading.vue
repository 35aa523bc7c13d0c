<script setup lang="ts">
import { quantity, type Quantity } from '@dusk-wren/core/quantity';
import { shallowRef } from 'vue';
import BenchButton from '../../parts/BenchButton.vue';
import InstrumentPick from '../InstrumentPick.vue';
import StepBar from '../StepBar.vue';
import { usePreferences } from '../../stores/preferences';
import { useReadings } from '../use-readings';

/** One torque read off the wrench itself: its last click is kept, with which wrench it was. */
const props = defineProps<{ step: string }>();
const emit = defineEmits<{ read: [torque: Quantity, instrument: string] }>();
const { show } = usePreferences();
const last = shallowRef<Quantity<'torque'>>();
const { instrument, choices, picked, running, trouble, start, stop } = useReadings(
  'torque wrench',
  () => ({ step: props.step }),
  (reading) => {
    if (reading.kind === 'click') last.value = quantity('torque', reading.lbfFt, 'lbf·ft');
  },
);
function keep(): void {
  if (last.value && instrument.value) emit('read', last.value, instrument.value.id);
  stop();
}
</script>

<template>
  <div v-if="choices.length > 0" class="wrench">
    <InstrumentPick v-model="picked" :choices="choices" :instrument="instrument" :trouble="trouble" />
    <StepBar>
      <BenchButton v-if="!running" @press="start">Wrench in hand</BenchButton>
      <template v-else>
        <BenchButton lamp :disabled="!last" @press="keep">
          {{ last ? `Keep ${show(last)}` : 'Pull until it clicks' }}
        </BenchButton>
        <BenchButton @press="stop">Wrench down</BenchButton>
      </template>
    </StepBar>
  </div>
</template>

<style scoped>
.wrench {
  display: grid;
  gap: 8px;
}
</style>
