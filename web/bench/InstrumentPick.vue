<script setup lang="ts">
import type { InstrumentView } from '@dusk-wren/contract';
import { sayDay } from '../parts/dates';

/** Which instrument is read, whether it is simulated, and whether its readings count. */
defineProps<{ choices: readonly InstrumentView[]; instrument: InstrumentView | undefined }>();
const picked = defineModel<string | undefined>();
</script>

<template>
  <p class="pick label">
    <template v-if="instrument">
      <label>
        <span class="visually-hidden">Instrument</span>
        <select
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
    <span v-else class="problem">No instrument of this kind is on file: read by eye and type it.</span>
  </p>
</template>

<style scoped>
.pick {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
}
select {
  font: inherit;
  color: var(--ink);
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: var(--radius);
  min-height: var(--touch);
  padding: 0 8px;
}
</style>
