<script setup lang="ts">
import { wordProblem } from '@dusk-wren/contract/wording';
import { format, parseQuantity } from '@dusk-wren/core/quantity';
import type { Field } from '@dusk-wren/core/workings';
import { computed } from 'vue';
import { usePreferences } from '../stores/preferences';
import RecordEntry from './entries/RecordEntry.vue';
import RowsEntry from './entries/RowsEntry.vue';

/** One entry of a working, as its field says; a typo is said here, where it was made. */
const props = defineProps<{
  field: Field;
  /** One of several ways was chosen: this is the one that is wanted. */
  wanted?: boolean;
  /** What the working says of it. */
  problem?: string | undefined;
}>();
const typed = defineModel<string>({ required: true });
const preferences = usePreferences();
const label = computed(() =>
  props.field.optional && !props.wanted ? `${props.field.label} (may be left out)` : props.field.label,
);
const isBare = computed(
  () =>
    props.field.kind === 'quantity' && props.field.bareUnit !== undefined && /^[-\d.\s]+$/.test(typed.value),
);
const read = computed(() => {
  const { field } = props;
  if (field.kind !== 'quantity' || typed.value.trim() === '' || isBare.value) return undefined;
  const all = field.dimensions.map((dimension) => parseQuantity(typed.value, dimension));
  return all.find((each) => each.ok) ?? all[0];
});
const wrong = computed(() =>
  typed.value.trim() === ''
    ? ''
    : read.value && !read.value.ok
      ? wordProblem(read.value.problem)
      : (props.problem ?? ''),
);
/** The same in the other system, so that a slip of the unit shows. */
const echo = computed(() => {
  if (!read.value?.ok) return '';
  const { entered: _typed, ...plain } = read.value.value;
  const here = format(plain, preferences.units);
  const there = format(plain, preferences.units === 'US' ? 'SI' : 'US');
  return here === there ? '' : `= ${typed.value.trim() === here ? there : `${here} = ${there}`}`;
});
const hint = computed(() => {
  if (props.field.kind === 'quantities') return 'one after the other, with ; between';
  if (props.field.kind === 'choices')
    return `with ; between, oldest first: ${props.field.choices.join(', ')}`;
  return echo.value;
});
const choices = computed(() =>
  props.field.kind === 'choice'
    ? [...props.field.choices]
    : props.field.kind === 'yes-no'
      ? ['yes', 'no']
      : [],
);
</script>

<template>
  <v-select
    v-if="choices.length > 0"
    :model-value="typed === '' ? null : typed"
    :label="label"
    @update:model-value="typed = $event ?? ''"
    :items="field.optional ? ['', ...choices] : choices"
  />
  <RecordEntry
    v-else-if="field.kind === 'rows' && field.one"
    v-model="typed"
    :label="field.label"
    :columns="field.columns"
  />
  <RowsEntry
    v-else-if="field.kind === 'rows'"
    v-model="typed"
    :label="field.label"
    :columns="field.columns"
  />
  <v-textarea
    v-else-if="field.kind === 'quantities' || field.kind === 'choices'"
    v-model="typed"
    :label="label"
    :error-messages="wrong"
    :hint="hint"
    persistent-hint
  />
  <v-text-field
    v-else
    v-model="typed"
    :label="label"
    :placeholder="field.example ? `such as ${field.example}` : ''"
    :error-messages="wrong"
    :hint="hint"
    :persistent-hint="hint !== ''"
    autocomplete="off"
  />
</template>
