<script setup lang="ts">
import { WEEK, type Weekday } from '@dusk-wren/contract';

/** Days of the week, each pressed or not. */
defineProps<{ label: string }>();
const days = defineModel<Weekday[]>({ required: true });
const turn = (day: Weekday) =>
  (days.value = days.value.includes(day) ? days.value.filter((each) => each !== day) : [...days.value, day]);
</script>

<template>
  <div class="days" role="group" :aria-label="label">
    <button
      v-for="day in WEEK"
      :key="day"
      type="button"
      class="label"
      :aria-pressed="days.includes(day)"
      @click="turn(day)"
    >
      {{ day }}
    </button>
  </div>
</template>

<style scoped>
.days {
  display: flex;
  flex-wrap: wrap;
  grid-column: 1 / -1;
  gap: 6px;
}
button {
  min-width: var(--touch);
  min-height: var(--touch);
  padding: 0 12px;
  color: var(--muted);
  background: none;
  border: 1px solid var(--line);
  border-radius: var(--radius);
}
button[aria-pressed='true'] {
  color: inherit;
  border-color: var(--lamp);
  background: var(--lit);
}
</style>
