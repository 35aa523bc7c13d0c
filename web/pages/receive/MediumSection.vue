<script setup lang="ts">
import { HAZARD_IDS, HAZARDS, type ValveDraft } from '@dusk-wren/core/valve';
import QuantityField from '../../parts/QuantityField.vue';

/** What ran through it, and what that can do to whoever opens it. */
const draft = defineModel<ValveDraft>({ required: true });
</script>

<template>
  <section>
    <h2>Medium</h2>
    <div class="fields">
      <v-text-field v-model="draft.medium" label="What ran through it" autocomplete="off" maxlength="60" />
      <QuantityField
        v-model="draft.mediumPressure"
        label="At pressure"
        dimension="gauge pressure"
        example="16 bar g"
      />
      <QuantityField
        v-model="draft.mediumTemperature"
        label="At temperature"
        dimension="temperature"
        example="130 °C"
      />
      <QuantityField
        v-model="draft.h2s"
        label="Hydrogen sulphide, how much"
        dimension="ratio"
        example="500 ppm"
        optional
      />
    </div>
    <div class="hazards" role="group" aria-label="Hazards">
      <label v-for="hazard in HAZARD_IDS" :key="hazard" class="label"
        ><input v-model="draft.hazards" type="checkbox" :value="hazard" /> {{ HAZARDS[hazard].label }}</label
      >
    </div>
  </section>
</template>

<style scoped>
.hazards {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
}
.hazards label {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: var(--touch);
}
input[type='checkbox'] {
  width: 20px;
  height: 20px;
  accent-color: var(--blue);
}
</style>
