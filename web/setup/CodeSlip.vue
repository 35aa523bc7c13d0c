<script setup lang="ts">
import type { PersonWithCode } from '@dusk-wren/contract';
import BenchButton from '../parts/BenchButton.vue';
import { sayDay } from '../parts/dates';

/** A code for the first sign-in, as it is read out or written down: shown this once. */
defineProps<{ given: PersonWithCode }>();
defineEmits<{ close: [] }>();
const inFours = (code: string) => code.replace(/(.{4})(?=.)/g, '$1 ');
</script>

<template>
  <section class="slip" aria-label="Code for the first sign-in">
    <p>
      <b>{{ given.person.name }}</b> signs in once with this code, and then chooses a PIN of their own. It is
      shown this once, and good until {{ sayDay(given.until.slice(0, 10)) }}.
    </p>
    <p class="code number" role="status">{{ inFours(given.code) }}</p>
    <BenchButton lamp @press="$emit('close')">I have passed it on</BenchButton>
  </section>
</template>

<style scoped>
.slip {
  display: grid;
  gap: 8px;
  justify-items: start;
  padding: 14px 18px;
  border: 1px solid var(--lamp);
  border-radius: var(--radius);
  background: var(--lit);
}
.code {
  font-size: 44px;
  letter-spacing: 0.08em;
}
</style>
