<script setup lang="ts">
import { CAUSES, priorsOf, SYMPTOMS, symptomsOf, type SymptomId } from '@dusk-wren/core/diagnosis';
import { PLANTED_FAULTS, type PlantedFault } from '@dusk-wren/core/simulation';
import type { Valve } from '@dusk-wren/core/valve';
import { computed, ref, watch } from 'vue';

/** A fault put into a valve by hand: what is seen, and what it comes from. */
const props = defineProps<{ valve: Valve }>();
const emit = defineEmits<{ plant: [planted: Record<string, unknown> | undefined] }>();
const symptom = ref<SymptomId | null>(null);
const fault = ref<PlantedFault | null>(null);
const symptoms = computed(() =>
  symptomsOf(props.valve.features).map((value) => ({ value, title: SYMPTOMS[value].name })),
);
const faults = computed(() => {
  if (symptom.value === null) return [];
  const causes = priorsOf(symptom.value, props.valve.features);
  return PLANTED_FAULTS.filter((each) => causes.has(each)).map((value) => ({
    value,
    title: CAUSES[value].name,
  }));
});
watch(symptoms, () => (symptom.value = null));
watch(symptom, () => (fault.value = null));
watch([symptom, fault], () =>
  emit('plant', symptom.value && fault.value ? { fault: fault.value, symptom: symptom.value } : undefined),
);
</script>

<template>
  <v-select v-model="symptom" label="What is seen" :items="symptoms" />
  <v-select v-model="fault" label="What it comes from" :items="faults" :disabled="symptom === null" />
</template>
