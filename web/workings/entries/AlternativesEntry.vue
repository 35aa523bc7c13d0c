<script setup lang="ts">
import { computed, ref } from 'vue';
import { wayTyped, type Alternatives, type Typed } from '../given';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import WorkingEntry from '../WorkingEntry.vue';

/** One of several ways to say the same: it is chosen which, and only its own fields are there to be filled. */
const props = defineProps<{
  choice: Alternatives;
  typed: Typed;
  problems: Readonly<Record<string, string>>;
}>();
const emit = defineEmits<{ type: [name: string, text: string] }>();
const picked = ref<string>();
const way = computed(() => wayTyped(props.choice, props.typed) ?? picked.value ?? props.choice.ways[0]?.as);
const fields = computed(() => props.choice.ways.find(({ as }) => as === way.value)?.fields ?? []);
function pick(as: string): void {
  if (as === way.value) return;
  picked.value = as;
  // What was typed another way would contradict it.
  for (const { name } of fields.value) emit('type', name, '');
}
</script>

<template>
  <fieldset class="alternatives">
    <legend class="label muted">{{ choice.of }}</legend>
    <ChoiceRow
      :label="choice.of"
      :options="choice.ways.map(({ as }) => ({ value: as, label: as }))"
      :picked="way"
      @pick="pick"
    />
    <WorkingEntry
      v-for="field in fields"
      :key="field.name"
      :field="field"
      wanted
      :problem="problems[field.name]"
      :model-value="typed[field.name] ?? ''"
      @update:model-value="emit('type', field.name, $event ?? '')"
    />
  </fieldset>
</template>

<style scoped>
.alternatives {
  border: 0;
  padding: 0;
  min-width: 0;
  display: grid;
  gap: 8px;
}
</style>
