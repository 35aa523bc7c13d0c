<script setup lang="ts">
import type { RuleField, SiteRules } from '@dusk-wren/core/inspection';
import QuantityField from '../parts/QuantityField.vue';

/** One rule of a site, asked in its own way: a length, a figure, yes or no, one of several. */
const props = defineProps<{ field: RuleField; rules: SiteRules }>();
const emit = defineEmits<{ change: [change: Partial<SiteRules>]; unread: [] }>();
function figure(text: string): void {
  const read = Number(text.replace(',', '.'));
  if (text.trim() === '' || !Number.isFinite(read)) emit('unread');
  else emit('change', { [props.field.key]: read });
}
function figures(text: string): void {
  const read = text
    .split(/[;,\s]+/)
    .filter(Boolean)
    .map(Number);
  if (read.length === 0 || read.some((each) => !Number.isInteger(each))) emit('unread');
  else emit('change', { [props.field.key]: read.toSorted((a, b) => a - b) });
}
</script>

<template>
  <QuantityField
    v-if="field.kind === 'length'"
    :label="field.words"
    dimension="length"
    :model-value="rules[field.key]"
    @update:model-value="$event ? emit('change', { [field.key]: $event }) : emit('unread')"
  />
  <v-select
    v-else-if="field.kind === 'choice'"
    :model-value="rules[field.key]"
    :label="field.words"
    :items="[...field.choices]"
    @update:model-value="emit('change', { [field.key]: $event })"
  />
  <v-checkbox
    v-else-if="field.kind === 'yes or no'"
    :model-value="rules[field.key]"
    :label="field.words"
    hide-details
    @update:model-value="emit('change', { [field.key]: $event === true })"
  />
  <v-text-field
    v-else-if="field.kind === 'numbers'"
    :model-value="rules[field.key].join('; ')"
    :label="field.words"
    :suffix="field.of"
    inputmode="decimal"
    @update:model-value="figures($event)"
  />
  <v-text-field
    v-else
    :model-value="String(rules[field.key])"
    :label="field.words"
    :suffix="field.of"
    inputmode="decimal"
    @update:model-value="figure($event)"
  />
</template>
