<script setup lang="ts">
import type { DriverSetting } from '@dusk-wren/contract';
import { computed } from 'vue';

/** One setting of a driver: a number, one of a few words, or an address. `label` says it in full to a screen reader. */
const props = defineProps<{ setting: DriverSetting; label: string; isInTable?: boolean }>();
const shown = defineModel<string>({ required: true });
const hint = computed(() =>
  props.setting.is === 'number' && !props.isInTable
    ? `, ${props.setting.least} to ${props.setting.most}`
    : '',
);
</script>

<template>
  <select v-if="setting.is === 'choice' && isInTable" v-model="shown" class="plain-field" :aria-label="label">
    <option v-for="option in setting.options" :key="option" :value="option">{{ option }}</option>
  </select>
  <input
    v-else-if="isInTable"
    v-model="shown"
    class="plain-field number"
    type="text"
    :aria-label="label"
    :inputmode="setting.is === 'number' ? 'decimal' : 'text'"
  />
  <v-select
    v-else-if="setting.is === 'choice'"
    v-model="shown"
    :label="label"
    :items="[...setting.options]"
  />
  <v-text-field
    v-else
    v-model="shown"
    :label="`${label}${hint}`"
    :inputmode="setting.is === 'number' ? 'decimal' : 'text'"
  />
</template>

<style scoped>
select,
input {
  width: 100%;
  min-width: 104px;
}
</style>
