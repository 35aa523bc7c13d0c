<script setup lang="ts">
import { MACHINE_SCOPES, MACHINE_SCOPE_WORDS, MOST_TOKEN_DAYS, type MachineScope } from '@dusk-wren/contract';
import { computed, ref } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import TickList from './TickList.vue';

/** A token as it is asked: whose, what for, and how long. */
defineProps<{ busy: boolean }>();
const emit = defineEmits<{ make: [asked: { name: string; scopes: MachineScope[]; days: number }] }>();
const name = ref('');
const scopes = ref<MachineScope[]>([]);
const days = ref('90');
const choices = MACHINE_SCOPES.map((value) => ({ value, words: `${value}: ${MACHINE_SCOPE_WORDS[value]}` }));
const lacking = computed(() =>
  [
    ...(name.value.trim() === '' ? ['a name'] : []),
    ...(scopes.value.length === 0 ? ['what it is for'] : []),
    ...(/^\d+$/.test(days.value) && Number(days.value) >= 1 && Number(days.value) <= MOST_TOKEN_DAYS
      ? []
      : [`how long, 1 to ${MOST_TOKEN_DAYS} days`]),
  ].join(', '),
);
function make(): void {
  emit('make', { name: name.value.trim(), scopes: scopes.value, days: Number(days.value) });
  [name.value, scopes.value] = ['', []];
}
</script>

<template>
  <form class="form" @submit.prevent="make">
    <v-text-field v-model="name" label="Program that a token is for" maxlength="60" autocomplete="off" />
    <v-text-field v-model="days" label="Good for, days" inputmode="numeric" maxlength="3" />
    <TickList v-model="scopes" class="what" legend="What it may do" :choices="choices" />
    <BenchButton kind="submit" lamp :disabled="lacking !== '' || busy" :lacking="lacking"
      >Make a token</BenchButton
    >
  </form>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(120px, 1fr);
  gap: 10px;
}
.what {
  grid-column: 1 / -1;
}
.form > :last-child {
  justify-self: start;
}
</style>
