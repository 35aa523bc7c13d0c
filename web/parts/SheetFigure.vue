<script setup lang="ts" generic="D extends 'torque' | 'length'">
import type { Quantity } from '@dusk-wren/core/quantity';
import QuantityField from './QuantityField.vue';

/** A figure of a maker's sheet and the page that it stands on. */
defineProps<{ label: string; dimension: D; example: string; of: string }>();
const value = defineModel<Quantity<D> | undefined>('value', { required: true });
const page = defineModel<string>('page', { required: true });
</script>

<template>
  <div class="figure">
    <QuantityField v-model="value" :label="label" :dimension="dimension" :example="example" />
    <v-text-field v-model="page" :disabled="!value" :label="`Page (${of})`" maxlength="20" />
  </div>
</template>

<style scoped>
.figure {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(110px, 1fr);
  gap: 10px;
}
</style>
