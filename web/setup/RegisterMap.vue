<script setup lang="ts">
import type { DriverSetting } from '@dusk-wren/contract';
import { isThere, type SettingRows } from './driver-settings';
import SettingField from './SettingField.vue';

/** Where a device has what it reads: a row for each value, as its maker's manual lists them. */
defineProps<{ map: SettingRows; shown: (setting: DriverSetting) => string }>();
const emit = defineEmits<{ type: [name: string, text: string] }>();
/** What stands where: of a value that the device has not, only that. */
const cell = (row: SettingRows['rows'][number], column: string, shown: (setting: DriverSetting) => string) =>
  row.settings.filter(({ label }, i) => label === column && (i === 0 || isThere(row, shown)));
</script>

<template>
  <div class="scrolled">
    <table>
      <caption class="label muted">
        Its register map, as its manual has it, counted from 0: some manuals count from 1, or from 40001.
      </caption>
      <thead>
        <tr>
          <th scope="col">Value</th>
          <th v-for="column in map.columns" :key="column" scope="col">{{ column }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in map.rows" :key="row.of">
          <th scope="row">{{ row.of }}</th>
          <td v-for="column in map.columns" :key="column" :data-label="column">
            <SettingField
              v-for="setting in cell(row, column, shown)"
              :key="setting.name"
              :setting="setting"
              :label="`${row.of}: ${column}`"
              is-in-table
              :model-value="shown(setting)"
              @update:model-value="(text) => emit('type', setting.name, text)"
            />
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.scrolled {
  overflow-x: auto;
  position: relative;
}
table {
  border-collapse: collapse;
  width: 100%;
}
caption {
  text-align: start;
  padding-bottom: 6px;
}
td,
th {
  vertical-align: middle;
}
th {
  text-align: start;
  font-weight: 600;
  padding: 2px 8px 2px 0;
}
thead th {
  color: var(--muted);
  font-weight: 400;
}
td {
  padding: 2px 6px 2px 0;
}
@media (max-width: 700px) {
  thead {
    display: none;
  }
  tr {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 4px;
    padding-bottom: 10px;
  }
  tr > th {
    grid-column: 1 / -1;
  }
  td:empty {
    display: none;
  }
  td::before {
    content: attr(data-label);
    display: block;
    color: var(--muted);
    font-size: 14px;
  }
}
</style>
