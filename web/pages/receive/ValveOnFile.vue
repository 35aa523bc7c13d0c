<script setup lang="ts">
import { valveListView, type ValveLine } from '@dusk-wren/contract';
import { useQuery } from '@pinia/colada';
import { refDebounced } from '@vueuse/core';
import { ref } from 'vue';
import { call } from '../../api/client';
import BenchButton from '../../parts/BenchButton.vue';

/** A valve that was here before, by the beginning of its tag or serial; nothing is listed before something is typed. */
const picked = defineModel<ValveLine | undefined>({ required: true });
const sought = ref('');
const found = refDebounced(sought, 200);
const { data: onFile } = useQuery({
  key: () => ['valves', found.value],
  query: () =>
    call(`/valves?${new URLSearchParams({ limit: '8', q: found.value.trim() }).toString()}`, valveListView),
  enabled: () => found.value.trim() !== '',
});
</script>

<template>
  <section>
    <p v-if="picked" class="taken label">
      <b>{{ picked.valve.tag }}</b> from file: {{ picked.valve.customer }}, {{ picked.valve.location }}
      <BenchButton @press="picked = undefined">Not this one</BenchButton>
    </p>
    <v-text-field v-else v-model="sought" label="On file? Its tag or serial begins with" autocomplete="off" />
    <ul v-if="!picked && found.trim() !== ''" class="file">
      <li v-for="each in onFile?.valves" :key="each.id">
        <button type="button" class="label" @click="picked = each">
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
  min-height: var(--touch);
  padding: 2px 10px;
  text-align: left;
  font-size: 15px;
  color: var(--ink);
  background: none;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  cursor: pointer;
}
.taken {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
}
</style>
