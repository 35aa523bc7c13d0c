<script setup lang="ts">
import type { PlannedStep } from '@dusk-wren/core/plan';
import type { TaskOf } from '@dusk-wren/core/procedure';
import { ref } from 'vue';
import { addMonths, isoDay } from '../../app/dates';
import SignPress from '../../parts/SignPress.vue';
import { useJob } from '../../stores/job';

/** The last step: read it through, set the next due date, sign. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'sign'> }>();
const job = useJob();
const nextDue = ref(isoDay(addMonths(new Date(), props.task.months)));
const sign = (pin: string) =>
  job.sign({ kind: 'sign-certificate', body: { step: props.step.id, nextDue: nextDue.value } }, pin);
</script>

<template>
  <div class="sign">
    <p>
      Signing closes the job for good.
      <router-link :to="`/jobs/${job.id}/certificate`">Read the certificate first</router-link>.
    </p>
    <v-text-field v-model="nextDue" type="date" label="Next overhaul due" />
    <SignPress lamp :sign="sign">Sign</SignPress>
  </div>
</template>

<style scoped>
.sign {
  display: grid;
  gap: 12px;
  justify-items: start;
}
.sign > :deep(.v-input) {
  width: 220px;
}
</style>
