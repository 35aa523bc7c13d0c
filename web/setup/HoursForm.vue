<script setup lang="ts">
import { workHours, type Weekday, type WorkHours } from '@dusk-wren/contract';
import { computed, ref } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import { clock } from './clock';
import DaysChoice from './DaysChoice.vue';

/** The hours of somebody, or of the shop: days, from, to, and a break where there is one. */
const props = defineProps<{ hours: WorkHours; of: string; words: string }>();
const emit = defineEmits<{ keep: [hours: WorkHours] }>();
const days = ref<Weekday[]>([...props.hours.days]);
const opens = ref(props.hours.opens);
const closes = ref(props.hours.closes);
const breakFrom = ref(props.hours.breakFrom ?? '');
const breakTo = ref(props.hours.breakTo ?? '');

const optional = (name: 'breakFrom' | 'breakTo', typed: string) =>
  typed.trim() === '' ? {} : { [name]: clock(typed) };
const read = computed(() =>
  workHours.safeParse({
    ...{ days: days.value, opens: clock(opens.value), closes: clock(closes.value) },
    ...optional('breakFrom', breakFrom.value),
    ...optional('breakTo', breakTo.value),
  }),
);
const LACKING: Readonly<Record<string, string>> = {
  days: 'a day',
  opens: 'from when, as 07:00',
  closes: 'until when, later, as 15:30',
  breakFrom: 'a break within the hours, as 12:00',
  breakTo: 'a break within the hours, with its end',
};
const lacking = computed(() => LACKING[String(read.value.error?.issues[0]?.path[0] ?? '')] ?? '');
const isChanged = computed(
  () =>
    read.value.success && JSON.stringify(read.value.data) !== JSON.stringify(workHours.parse(props.hours)),
);
function keep(): void {
  if (read.value.success) emit('keep', read.value.data);
}
</script>

<template>
  <form class="hours" :aria-label="`Hours of ${of}`" @submit.prevent="keep">
    <DaysChoice v-model="days" :label="`Days on which ${of} works`" />
    <v-text-field v-model="opens" label="From" inputmode="numeric" maxlength="5" />
    <v-text-field v-model="closes" label="Until" inputmode="numeric" maxlength="5" />
    <v-text-field v-model="breakFrom" label="Break from" inputmode="numeric" maxlength="5" />
    <v-text-field v-model="breakTo" label="Break until" inputmode="numeric" maxlength="5" />
    <BenchButton
      v-if="isChanged || !read.success"
      kind="submit"
      lamp
      :disabled="!read.success"
      :lacking="lacking"
      >{{ words }}</BenchButton
    >
  </form>
</template>

<style scoped>
.hours {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(130px, 1fr));
  gap: 10px;
  width: 100%;
  max-width: 900px;
  align-items: start;
}
</style>
