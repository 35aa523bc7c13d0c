<script setup lang="ts" generic="D extends Dimension">
import { wordProblem } from '@dusk-wren/contract/wording';
import { format, parseQuantity, type Dimension, type Quantity } from '@dusk-wren/core/quantity';
import { computed, ref, watch } from 'vue';
import { useDraft } from '../stores/drafts';
import { usePreferences } from '../stores/preferences';

/** A quantity typed as it is spoken. What was typed stays; what was not understood is said below. */
const props = defineProps<{
  label: string;
  dimension: D;
  example?: string | undefined;
  modelValue?: Quantity<D> | undefined;
  optional?: boolean;
  autofocus?: boolean;
}>();
const emit = defineEmits<{ 'update:modelValue': [value: Quantity<D> | undefined]; enter: [] }>();

const preferences = usePreferences();
const draft = useDraft(props.label);
/** What was half typed when somebody went away is there again, and counts. */
const isDrafted = draft.value !== '';
const text = ref(
  isDrafted ? draft.value : props.modelValue ? format(props.modelValue, preferences.units) : '',
);
watch(text, (now) => (draft.value = now));
const parsed = computed(() => parseQuantity(text.value, props.dimension));
const problem = computed(() => {
  if (text.value.trim() === '' || parsed.value.ok) return '';
  return wordProblem(parsed.value.problem);
});
watch(parsed, (result) => emit('update:modelValue', result.ok ? result.value : undefined), {
  immediate: isDrafted,
});
watch(
  () => props.modelValue,
  (value) => {
    if (value?.entered !== undefined && value.entered !== text.value) text.value = value.entered;
    if (value === undefined && parsed.value.ok) text.value = '';
  },
);
</script>

<template>
  <v-text-field
    v-model="text"
    :label="optional ? `${label} (may be left out)` : label"
    :placeholder="example ? `such as ${example}` : ''"
    :error-messages="problem"
    :autofocus="autofocus"
    autocomplete="off"
    @keydown.enter="$emit('enter')"
  />
</template>
