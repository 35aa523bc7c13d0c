<script setup lang="ts">
import { valveListView, type ValveLine } from '@dusk-wren/contract';
import { useQuery } from '@pinia/colada';
import { refDebounced } from '@vueuse/core';
import { ref } from 'vue';
import { call } from '../../api/client';

/** A valve that was here before, by the beginning of its tag or serial. */
const picked = defineModel<ValveLine | undefined>({ required: true });
const sought = ref('');
const found = refDebounced(sought, 200);
const { data: onFile } = useQuery({
  key: () => ['valves', found.value],
  query: () =>
    call(
      `/valves?limit=8${found.value.trim() ? `&q=${encodeURIComponent(found.value.trim())}` : ''}`,
      valveListView,
    ),
});
</script>

<template>
  <section>
    <h2>On file?</h2>
    <v-text-field
      v-model="sought"
      label="Tag or serial begins with"
      autocomplete="off"
      @update:model-value="picked = undefined"
    />
    <ul class="file">
      <li v-for="each in onFile?.valves" :key="each.id">
        <button
          type="button"
          class="label"
          :aria-pressed="picked?.id === each.id"
          @click="picked = picked?.id === each.id ? undefined : each"
        >
          <b>{{ each.valve.tag }}</b> {{ each.valve.customer }}, {{ each.valve.location }}
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.file {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
  gap: 4px 12px;
}
.file button {
  width: 100%;
  min-height: 40px;
  padding: 2px 10px;
  text-align: left;
  font-size: 15px;
  color: var(--ink);
  background: none;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  cursor: pointer;
}
.file button[aria-pressed='true'] {
  border-color: var(--lamp);
  box-shadow: inset 5px 0 0 var(--lamp);
}
</style>
