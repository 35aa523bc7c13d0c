<script setup lang="ts">
import { workingDaysBetween, workingDaysFrom } from '@dusk-wren/core/plan';
import { computed, ref, useTemplateRef } from 'vue';
import { isoDay, sayDay } from './dates';

/** A day, said as everywhere else, with how many working days that is from now; picked from a month or by the week. */
const props = defineProps<{ label: string; optional?: boolean }>();
const day = defineModel<string>({ required: true });
const open = ref(false);
const root = useTemplateRef<HTMLElement>('root');
const today = isoDay(new Date());
const words = computed(() => {
  if (day.value === '') return '';
  const away = workingDaysBetween(today, day.value);
  const working = `working ${Math.abs(away) === 1 ? 'day' : 'days'}`;
  const told = away === 0 ? 'today' : away > 0 ? `in ${away} ${working}` : `${-away} ${working} ago`;
  return `${sayDay(day.value)}, ${told}`;
});
const SOON = [
  [1, 'Tomorrow'],
  [5, 'In a week'],
  [10, 'In two'],
] as const;
function take(next: string): void {
  day.value = next;
  open.value = false;
}
const inDays = (days: number) => take(workingDaysFrom(new Date().toISOString(), days));
const picked = computed({
  get: () => (day.value === '' ? null : new Date(`${day.value}T12:00:00`)),
  set: (next) => {
    if (next instanceof Date) take(isoDay(next));
  },
});
</script>

<template>
  <div ref="root" class="day-field">
    <v-text-field
      :model-value="words"
      :label="props.optional ? `${label} (may be left out)` : label"
      readonly
      @click="open = true"
      @keydown.enter.prevent.stop="open = true"
    />
    <v-menu
      v-model="open"
      :target="root ?? undefined"
      :close-on-content-click="false"
      content-class="covers-page"
    >
      <div class="calendar row-flat" role="group" :aria-label="label">
        <div class="soon">
          <button v-for="[days, name] in SOON" :key="days" type="button" class="label" @click="inDays(days)">
            {{ name }}
          </button>
          <button v-if="optional && day !== ''" type="button" class="label" @click="take('')">No day</button>
        </div>
        <v-date-picker
          v-model="picked"
          hide-header
          show-adjacent-months
          :first-day-of-week="1"
          color="secondary"
          width="344"
        />
      </div>
    </v-menu>
  </div>
</template>

<style scoped>
.calendar {
  padding: 8px;
  display: grid;
  gap: 8px;
  justify-items: start;
}
/* Seven days of a gloved finger's width: the picker's own room is for smaller ones. */
.calendar :deep(.v-date-picker-month) {
  padding-inline: 4px;
}
.soon {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.soon button {
  min-height: var(--touch);
  padding: 0 12px;
  font-size: 16px;
  color: var(--ink);
  background: var(--ground);
  border: 1px solid var(--line);
  border-radius: var(--radius);
  cursor: pointer;
}
</style>
