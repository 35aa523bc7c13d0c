<script setup lang="ts">
import { setupChangesView, type SetupChange } from '@dusk-wren/contract';
import { refDebounced } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { call } from '../api/client';
import BenchButton from '../parts/BenchButton.vue';
import { sayMoment } from '../parts/dates';
import { useTrying } from '../stores/trying';

/** Who changed what in setup, newest first; found by a word or a name, and taken along as a file. */
const words = ref('');
const asked = refDebounced(words, 250);
const changes = ref<readonly SetupChange[]>([]);
const more = ref(false);
const { wrong, trying } = useTrying();
const load = (before?: number) =>
  trying(async () => {
    const query = new URLSearchParams({
      ...(asked.value.trim() ? { q: asked.value.trim() } : {}),
      ...(before === undefined ? {} : { before: String(before) }),
    });
    const found = await call(`/setup/changes?${query.toString()}`, setupChangesView);
    changes.value = before === undefined ? found.changes : [...changes.value, ...found.changes];
    more.value = found.more;
  });
watch(asked, () => void load(), { immediate: true });
const last = computed(() => changes.value.at(-1)?.id);
</script>

<template>
  <section class="changes" aria-label="Changes">
    <div class="find">
      <v-text-field v-model="words" label="Find by a word or a name" autocomplete="off" />
      <a class="way label" href="/api/setup/changes.csv" download>All of it as CSV</a>
    </div>
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
    <p v-else-if="changes.length === 0" class="muted">Nothing that matches was changed.</p>
    <ol class="happened">
      <li v-for="{ id, at, by, what } in changes" :key="id" class="row-flat">
        <b>{{ what }}</b> <span class="label muted">{{ by }}, {{ sayMoment(at) }}</span>
      </li>
    </ol>
    <BenchButton v-if="more" @press="load(last)">Older ones</BenchButton>
  </section>
</template>

<style scoped>
.changes,
.find {
  display: grid;
  gap: 8px;
}
.find {
  grid-template-columns: minmax(0, 420px) auto;
  gap: 16px;
  align-items: center;
  justify-content: start;
}
</style>
