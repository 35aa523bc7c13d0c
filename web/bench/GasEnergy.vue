<script setup lang="ts">
import { storedEnergy } from '@dusk-wren/core/workings';
import type { GaugePressure, Quantity } from '@dusk-wren/core/quantity';
import { computed, ref } from 'vue';
import QuantityField from '../parts/QuantityField.vue';
import WorkingPaper from '../parts/WorkingPaper.vue';
import { usePreferences } from '../stores/preferences';

/** What a test with gas stores, by the volume under it, and how far to stand from it. */
const props = defineProps<{
  pressure: GaugePressure;
  /** As its size lets one think, until somebody says what it is. */
  volume?: Quantity<'volume'> | undefined;
}>();
const { show } = usePreferences();
const typed = ref<Quantity<'volume'>>();
const volume = computed(() => typed.value ?? props.volume);
const worked = computed(() => {
  if (!volume.value) return undefined;
  const answer = storedEnergy.work({ pressure: props.pressure, volume: volume.value });
  return answer.ok ? answer.value : undefined;
});
</script>

<template>
  <div class="gas">
    <p class="label">
      Gas stores about a thousand times what water would. Fill what can be filled; say what volume is left
      under it.
    </p>
    <template v-if="worked">
      <p v-if="!typed && volume" class="label muted">
        Taken as {{ show(volume) }}, three bores long, until you say what it is:
      </p>
      <p role="status">
        <b class="number">{{ show(worked.result.energy) }}</b> stored, with water
        <b class="number">{{ show(worked.result.waterEnergy) }}</b>. Stand at least
        <b class="number">{{ show(worked.result.minimumDistance) }}</b> off, or behind a barrier that the site
        has passed for it.
      </p>
      <WorkingPaper :steps="worked.steps" :notes="worked.notes" :source="worked.source" />
    </template>
    <QuantityField v-model="typed" label="Volume under gas" dimension="volume" example="0.5 L" optional />
  </div>
</template>

<style scoped>
.gas {
  display: grid;
  gap: 6px;
  padding: 8px 10px;
  border: 1px solid var(--hazard);
  border-radius: var(--radius);
}
</style>
