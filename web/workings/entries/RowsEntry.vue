<script setup lang="ts">
import type { Column } from '@dusk-wren/core/workings';
import { computed } from 'vue';
import { rowsOf, textOfRows, type TypedRow } from '../given';

/** A small table to type into; there is always an empty row to go on with. */
const props = defineProps<{ label: string; columns: readonly Column[] }>();
const typed = defineModel<string>({ required: true });
const empty = (): TypedRow => Object.fromEntries(props.columns.map(({ name }) => [name, '']));
const rows = computed(() => [...rowsOf(typed.value), empty()]);

function enter(row: number, name: string, text: string): void {
  const changed = rows.value.map((each, i) => (i === row ? { ...each, [name]: text } : each));
  keep(changed);
}
const remove = (row: number) => keep(rows.value.filter((_, i) => i !== row));
function keep(all: TypedRow[]): void {
  const last = all.findLastIndex((each) => Object.values(each).some((cell) => cell.trim() !== ''));
  typed.value = textOfRows(all.slice(0, last + 1));
}
const textOf = (event: Event) => (event.target instanceof HTMLInputElement ? event.target.value : '');
</script>

<template>
  <fieldset class="rows">
    <legend class="label muted">{{ label }}</legend>
    <table>
      <thead>
        <tr>
          <th v-for="column in columns" :key="column.name">{{ column.label }}</th>
          <th><span class="visually-hidden">take away</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(row, i) in rows" :key="i">
          <td v-for="column in columns" :key="column.name">
            <input
              class="cell number"
              :value="row[column.name] ?? ''"
              :placeholder="i === 0 || i === rows.length - 1 ? column.example : ''"
              :aria-label="`${column.label}, row ${i + 1}`"
              autocomplete="off"
              @input="enter(i, column.name, textOf($event))"
            />
          </td>
          <td>
            <button
              v-if="i < rows.length - 1"
              type="button"
              class="take"
              :aria-label="`Take row ${i + 1} away`"
              @click="remove(i)"
            >
              ×
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </fieldset>
</template>

<style scoped>
.rows {
  border: 1px solid var(--line);
  border-radius: var(--radius);
  padding: 6px 10px 10px;
  min-width: 0;
}
td,
th {
  padding: 2px 4px;
  border: 0;
}
.cell {
  width: 100%;
  min-width: 0;
  min-height: var(--touch);
  padding: 4px 8px;
  background: var(--ground);
  color: var(--ink);
  border: 1px solid var(--line);
  border-radius: var(--radius);
  font-size: 16px;
}
.cell::placeholder {
  color: var(--muted);
  opacity: 0.75;
}
.take {
  min-width: 40px;
  min-height: var(--touch);
  color: var(--muted);
  font-size: 20px;
  cursor: pointer;
  background: none;
  border: 0;
}
</style>
