<script setup lang="ts">
import { toEmptyField } from '../keys/fields';

/** Fields of a step: Enter goes to the next empty one, and in the last sends them. */
const emit = defineEmits<{ send: [] }>();
function enter(event: KeyboardEvent): void {
  const { target, currentTarget } = event;
  if (!(target instanceof HTMLInputElement) || !(currentTarget instanceof HTMLElement)) return;
  if (target.getAttribute('role') === 'combobox') return;
  event.preventDefault();
  if (!toEmptyField(currentTarget, target)) emit('send');
}
</script>

<template>
  <form @submit.prevent="emit('send')" @keydown.enter="enter"><slot /></form>
</template>

<style scoped>
form {
  display: grid;
  gap: 10px;
}
</style>
