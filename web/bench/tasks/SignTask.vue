<script setup lang="ts">
import type { PlannedStep } from '@dusk-wren/core/plan';
import { dueAfter } from '@dusk-wren/core/life';
import type { TaskOf } from '@dusk-wren/core/task';
import { computed, ref } from 'vue';
import { addMonths, isoDay, sayDay } from '../../parts/dates';
import DayField from '../../parts/DayField.vue';
import SignPress from '../SignPress.vue';
import { useJob } from '../../stores/job';
import StepBar from '../StepBar.vue';

/** The last step: read it through, set the next due date, sign. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'sign'> }>();
const job = useJob();
/** Every day that says when it is due, the soonest first. */
const dues = computed(() => (job.state && job.id ? dueAfter(job.state, job.id, isoDay(new Date())) : []));
const proposed = dues.value.find(({ at }) => at > isoDay(new Date()));
const nextDue = ref(proposed?.at ?? isoDay(addMonths(new Date(), props.task.months)));
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
    <ul v-if="dues.length > 0" class="because label" aria-label="What says when it is due">
      <li v-for="each in dues" :key="`${each.at} ${each.words}`">
        <b class="number">{{ sayDay(each.at) }}</b> {{ each.words }}
      </li>
    </ul>
    <p v-if="dues[0] && nextDue > dues[0].at" class="label">
      Later than the first of these: it stays on the recall list by that.
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
