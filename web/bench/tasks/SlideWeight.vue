<script setup lang="ts">
import type { Length } from '@dusk-wren/core/quantity';
import type { Pops, WeightAdvice } from '@dusk-wren/core/task';
import BenchButton from '../../parts/BenchButton.vue';
import WorkingPaper from '../../parts/WorkingPaper.vue';
import { usePreferences } from '../../stores/preferences';

/** The weight of a dump valve: where it goes next, or, once it opens at its head, where it stands, to be kept. */
defineProps<{
  live: Pops;
  advice: WeightAdvice | undefined;
  place: Length | undefined;
  disabled: boolean;
}>();
const emit = defineEmits<{ placed: [at: Length] }>();
const { show, read } = usePreferences();
</script>

<template>
  <div v-if="advice" class="slide">
    <p>
      <b>The weight:</b> from {{ read(advice.from, 'rule') }} to
      <b class="number">{{ read(advice.to, 'rule') }}</b> from the shaft; it should then open at
      {{ show(live.aim) }}.
    </p>
    <p class="label caution">Hands clear of the lever: it falls when the vessel dumps.</p>
    <WorkingPaper :steps="advice.worked.steps" :notes="advice.worked.notes" :source="advice.worked.source" />
    <BenchButton lamp :disabled="disabled" @press="emit('placed', advice.to)"
      >Moved to {{ read(advice.to, 'rule') }}</BenchButton
    >
  </div>
  <div v-else-if="place" class="slide right">
    <p>
      It opens at its head. The weight stands {{ read(place, 'rule') }} from the shaft: marked there, and
      kept.
    </p>
    <BenchButton lamp :disabled="disabled" @press="emit('placed', place)"
      >Keep its place: {{ read(place, 'rule') }}</BenchButton
    >
  </div>
</template>

<style scoped>
.slide {
  display: grid;
  gap: 6px;
  justify-items: start;
  padding: 10px;
  border: 1px solid var(--hazard);
  border-radius: var(--radius);
}
.right {
  border-color: var(--fit);
}
</style>
