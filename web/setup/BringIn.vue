<script setup lang="ts">
import { jobBroughtIn } from '@dusk-wren/contract';
import { useFileDialog } from '@vueuse/core';
import { ref } from 'vue';
import { call } from '../api/client';
import BenchButton from '../parts/BenchButton.vue';
import { useTrying } from '../stores/trying';

/** A job out of another shop's export: all of it, with its photographs, or nothing. */
const { wrong, busy, trying } = useTrying();
const brought = ref<{ id: string; said: string }>();
const { open: choose, onChange } = useFileDialog({ accept: '.zip,.json', multiple: false, reset: true });

async function send(file: File) {
  if (!file.name.toLowerCase().endsWith('.json')) {
    const body = new Blob([file], { type: 'application/zip' });
    return call('/jobs/import', jobBroughtIn, { method: 'PUT', body });
  }
  const body = new Blob([file], { type: 'application/json' });
  return call('/jobs/import', jobBroughtIn, { method: 'POST', body });
}
const bringIn = (file: File) =>
  trying(async () => {
    brought.value = undefined;
    const { id, photos } = await send(file);
    const missing = photos.missing === 0 ? '' : `; ${photos.missing} were not in the file`;
    brought.value = { id, said: `${file.name} is in, with ${photos.taken} photographs${missing}.` };
  });
onChange((files) => {
  const file = files?.[0];
  if (file) void bringIn(file);
});
</script>

<template>
  <section class="bring" aria-label="A job from elsewhere">
    <h2>A job from elsewhere</h2>
    <p class="muted">
      What <i>Export</i> of a job gives, photographs and all. It says on every page and paper for good that it
      was brought in and not checked here.
    </p>
    <BenchButton :disabled="busy" lacking="the one that is coming in" @press="choose()">{{
      busy ? 'Bringing it in' : 'Bring a job in'
    }}</BenchButton>
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
    <p v-if="brought" role="status">
      {{ brought.said }} <router-link class="way" :to="`/jobs/${brought.id}`">Open it</router-link>
    </p>
  </section>
</template>

<style scoped>
.bring {
  display: grid;
  gap: 8px;
  justify-items: start;
}
</style>
