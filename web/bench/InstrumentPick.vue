<script setup lang="ts">
import type { InstrumentView } from '@dusk-wren/contract';
import { sayDay } from '../parts/dates';
import { readerOf } from './recordings/reader';

/** Which instrument is read, whether it is simulated, and whether its readings count. */
defineProps<{
  choices: readonly InstrumentView[];
  instrument: InstrumentView | undefined;
  /** What is the matter with it while it is read. */
  trouble?: string;
  /** The recording that is looked at instead: only a real one of these can have written it. */
  file?: string | undefined;
}>();
const picked = defineModel<string | undefined>();
</script>

<template>
  <p class="pick label">
    <span v-if="file !== undefined">out of “{{ file }}”</span>
    <template v-if="instrument && readerOf(instrument, file) !== 'hand'">
      <label>
        <span class="visually-hidden">Instrument</span>
        <select
          class="plain-field"
          :value="picked ?? instrument.id"
          @change="picked = ($event.target as HTMLSelectElement).value"
        >
          <option v-for="each in choices" :key="each.id" :value="each.id">
            {{ each.name }}{{ each.simulated ? ' (simulated)' : ''
            }}{{ each.inCalibration ? '' : ', overdue' }}
          </option>
        </select>
      </label>
      <span v-if="instrument.inCalibration" class="muted"
        >calibration due {{ sayDay(instrument.calibrationDue) }}</span
      >
      <span v-else class="problem"
        >overdue since {{ sayDay(instrument.calibrationDue) }}: its readings do not count</span
      >
    </template>
    <span v-if="trouble" class="problem trouble" role="alert">{{ trouble }}</span>
    <span v-if="!instrument" class="problem"
      >No instrument of this kind is on file: read by eye and type it.</span
    >
  </p>
</template>

<style scoped>
.trouble {
  flex-basis: 100%;
}
.pick {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
}
</style>
