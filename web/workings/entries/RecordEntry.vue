<script setup lang="ts">
import type { Column } from '@dusk-wren/core/workings';
import { computed } from 'vue';
import { rowsOf, textOfRows } from '../given';

/** Figures that belong together, one under the other: the one row of a small table. */
const props = defineProps<{ label: string; columns: readonly Column[] }>();
const typed = defineModel<string>({ required: true });
const record = computed(() => rowsOf(typed.value)[0] ?? {});

function enter(name: string, text: string | null): void {
  const blank = Object.fromEntries(props.columns.map((column) => [column.name, '']));
  typed.value = textOfRows([{ ...blank, ...record.value, [name]: text ?? '' }]);
}
</script>

<template>
  <fieldset class="record">
    <legend class="label muted">{{ label }}</legend>
    <v-text-field
      v-for="column in columns"
      :key="column.name"
      :model-value="record[column.name] ?? ''"
      :label="column.label"
      :placeholder="`such as ${column.example}`"
      autocomplete="off"
      hide-details
      @update:model-value="enter(column.name, $event)"
    />
  </fieldset>
</template>

<style scoped>
.record {
  border: 1px solid var(--line);
  border-radius: var(--radius);
  padding: 8px 10px 10px;
  display: grid;
  gap: 10px;
  min-width: 0;
}
</style>
