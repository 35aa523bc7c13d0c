<script setup lang="ts">
import type { WeekView } from '@dusk-wren/contract/week';
import { useIntervalFn } from '@vueuse/core';
import { faultsOf } from '@dusk-wren/core/schedule';
import { computed, ref } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import { useBettering } from './bettering';
import type { ShopWeek } from './week';
import { sayDifference, sayQuality } from './words';

/** A better plan, looked for by a constraint solver beside the page: how far it has come, and what it would change. */
const props = defineProps<{ view: WeekView; week: ShopWeek; isLead: boolean }>();
const SECONDS = 120;
const { best, isLooking, isOver, wrong, look, stop, forget } = useBettering();
const began = ref(0);
const passed = ref(0);
useIntervalFn(() => {
  if (isLooking.value) passed.value = Math.round((Date.now() - began.value) / 1000);
}, 500);
function begin(): void {
  [began.value, passed.value, from.value] = [Date.now(), 0, props.view.from];
  void look(props.view.week, props.view.plan, SECONDS);
}
/** The moment that what is found counts from: the week may be counted from a later one by now. */
const from = ref('');
const found = computed(() => {
  if (!best.value) return undefined;
  const by = Math.round((Date.parse(from.value) - Date.parse(props.view.from)) / 60_000);
  return {
    ...best.value,
    plan: best.value.plan.map((each) => ({ ...each, start: each.start + by, end: each.end + by })),
  };
});
/** Something has happened meanwhile that it does not fit. */
const isPast = computed(
  () => found.value !== undefined && faultsOf(props.view.week, found.value.plan).length > 0,
);
const isBetter = computed(() => {
  const stands = new Set(
    props.view.plan.map(({ job, id, person, start }) => `${job} ${id} ${person} ${start}`),
  );
  return found.value?.plan.some(
    ({ job, id, person, start }) => !stands.has(`${job} ${id} ${person} ${start}`),
  );
});
const lines = computed(() => {
  if (!found.value) return [];
  if (isPast.value) return ['The week has changed since it was found: look again.'];
  return [
    sayQuality(found.value),
    ...(isBetter.value
      ? sayDifference(props.view, props.view.plan, found.value.plan)
      : ['The plan that stands stays.']),
  ];
});
async function take(): Promise<void> {
  if (!found.value) return;
  const { plan, bound } = found.value;
  if (await props.week.takeBetter({ from: props.view.from, plan, bound })) forget();
}
</script>

<template>
  <section class="better label" aria-label="A better plan">
    <BenchButton v-if="!isLooking" @press="begin">{{
      isOver ? 'Look again' : 'Look for a better plan'
    }}</BenchButton>
    <template v-else>
      <span role="status">Looking for {{ passed }} s of {{ SECONDS }}.</span>
      <BenchButton @press="stop">That will do</BenchButton>
    </template>
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
    <ul v-if="lines.length > 0" aria-live="polite">
      <li v-for="line in lines" :key="line">{{ line }}</li>
    </ul>
    <BenchButton v-if="isOver && isBetter && !isPast && isLead" lamp :disabled="week.busy.value" @press="take"
      >Take this plan</BenchButton
    >
  </section>
</template>

<style scoped>
.better {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  align-items: center;
}
</style>
