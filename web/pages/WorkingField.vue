<script setup lang="ts">
import { wordProblem } from '@dusk-wren/contract/wording';
import { parseQuantity } from '@dusk-wren/core/quantity';
import type { Field } from '@dusk-wren/core/workings';
import { computed } from 'vue';

/** One input of a working, as its field says; a typo is said here, where it was made. */
const props = defineProps<{ field: Field }>();
const typed = defineModel<string>({ required: true });
const label = computed(() =>
  props.field.optional ? `${props.field.label} (may be left out)` : props.field.label,
);
const problem = computed(() => {
  if (props.field.kind !== 'quantity' || typed.value.trim() === '') return '';
  const parsed = parseQuantity(typed.value, props.field.dimension);
  return parsed.ok ? '' : wordProblem(parsed.problem);
});
const hint = computed(() => {
  if (props.field.kind === 'quantities') return 'one after the other, with ; between';
  return props.field.kind === 'arcs' ? 'such as 0-350 30 thou; with ; between stretches' : '';
});
</script>

<template>
  <v-select
    v-if="field.kind === 'choice'"
    v-model="typed"
    :label="label"
    :items="[...(field.optional ? [''] : []), ...field.choices]"
  />
  <v-textarea
    v-else-if="field.kind === 'quantities' || field.kind === 'arcs'"
    v-model="typed"
    :label="label"
    :hint="hint"
    persistent-hint
  />
  <v-text-field
    v-else
    v-model="typed"
    :label="label"
    :placeholder="field.example ? `such as ${field.example}` : ''"
    :error-messages="problem"
    autocomplete="off"
  />
</template>
