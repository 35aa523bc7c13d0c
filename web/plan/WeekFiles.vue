<script setup lang="ts">
import type { WeekView } from '@dusk-wren/contract/week';
import { computed, ref } from 'vue';
import { sayDay } from '../parts/dates';

/** The plan out of the house: day sheets, calendars, a table. */
const props = defineProps<{ view: WeekView; /** That the rails begin with. */ day: string }>();
const EVERYBODY = '';
const of = ref(EVERYBODY);
const choices = computed(() => [
  { title: 'Everybody', value: EVERYBODY },
  ...props.view.people.map(({ id, name }) => ({ title: name, value: `person=${id}` })),
  ...props.view.week.places.map(({ id }) => ({ title: String(id), value: `place=${String(id)}` })),
]);
const sheet = computed(
  () => `/api/week/day-sheet.pdf?day=${props.day}${of.value.startsWith('person=') ? `&${of.value}` : ''}`,
);
</script>

<template>
  <section class="files label" aria-label="On paper and as files">
    <v-select v-model="of" label="Of" :items="choices" hide-details />
    <a v-if="!of.startsWith('place=')" class="way" :href="sheet" target="_blank"
      >Day sheet, {{ sayDay(day) }}</a
    >
    <a v-if="of !== EVERYBODY" class="way" :href="`/api/week/calendar.ics?${of}`" download>Calendar</a>
    <a v-else class="way" href="/api/week/calendar.ics" download>Calendar of due dates</a>
    <a class="way" href="/api/week.csv" download>CSV</a>
  </section>
</template>

<style scoped>
.files {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 20px;
  align-items: center;
}
.files > :first-child {
  flex: 0 1 220px;
}
</style>
