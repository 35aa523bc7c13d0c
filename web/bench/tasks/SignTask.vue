<script setup lang="ts">
import type { PlannedStep } from '@dusk-wren/core/plan';
import type { TaskOf } from '@dusk-wren/core/task';
import { computed, ref } from 'vue';
import { addMonths, isoDay } from '../../parts/dates';
import DayField from '../../parts/DayField.vue';
import SignPress from '../SignPress.vue';
import { useJob } from '../../stores/job';
import StepBar from '../StepBar.vue';

/** The last step: read it through, set the next due date, sign. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'sign'> }>();
const job = useJob();
const nextDue = ref(isoDay(addMonths(new Date(), props.task.months)));
const sign = computed(() => ({
  kind: 'sign-certificate' as const,
  body: { step: props.step.id, nextDue: nextDue.value },
}));
</script>

<template>
  <div class="sign">
    <p>
      Signing closes the job for good.
      <router-link :to="`/jobs/${job.id}/certificate`">Read the certificate first</router-link>.
    </p>
    <DayField v-model="nextDue" class="due" label="Next overhaul due" />
    <StepBar><SignPress lamp :command="sign">Sign</SignPress></StepBar>
  </div>
</template>

<style scoped>
.sign {
  display: grid;
  gap: 12px;
  justify-items: start;
}
.due {
  width: 320px;
  max-width: 100%;
}
</style>
