<script setup lang="ts">
import { computed, ref } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import { addMonths, isoDay } from '../parts/dates';
import DayField from '../parts/DayField.vue';
import { useJob } from '../stores/job';

/** A makeshift that stays in the valve until a day: it is recalled by then, and its next job puts it right. */
const job = useJob();
const MONTHS = 3;
const what = ref('');
const recall = ref(isoDay(addMonths(new Date(), MONTHS)));
const command = computed(() => ({
  kind: 'leave-for-now' as const,
  body: { what: what.value, recall: recall.value },
}));
const refusal = computed(() => (what.value.trim().length < 3 ? '' : job.refusal(command.value)));
function leave(): void {
  if (job.act(command.value)) what.value = '';
}
</script>

<template>
  <details class="left">
    <summary class="label">Leave something for now, with a day to put it right</summary>
    <form @submit.prevent="leave">
      <v-text-field v-model="what" label="What stays as it is" maxlength="200" />
      <DayField v-model="recall" label="Put right by" />
      <BenchButton kind="submit" :disabled="what.trim().length < 3 || refusal !== ''" lacking="say what"
        >Leave it</BenchButton
      >
      <p v-if="refusal" class="problem" role="alert">{{ refusal }}</p>
    </form>
  </details>
</template>

<style scoped>
summary {
  min-height: var(--touch);
  padding: 12px 0;
  cursor: pointer;
}
form {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(200px, 1fr));
  gap: 10px;
  align-items: start;
}
</style>
