<script setup lang="ts">
import { workingDaysFrom, type PlannedStep } from '@dusk-wren/core/plan';
import type { TaskOf } from '@dusk-wren/core/task';
import { computed, ref } from 'vue';
import { useKeys } from '../../keys/keys';
import BenchButton from '../../parts/BenchButton.vue';
import DayField from '../../parts/DayField.vue';
import { sayDay } from '../../parts/dates';
import { useJob } from '../../stores/job';
import StepBar from '../StepBar.vue';
import StepForm from '../StepForm.vue';

/** A part on its way: ordered with a date, then received. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'order'> | TaskOf<'arrive'> }>();
const job = useJob();
const expected = ref(
  props.task.kind === 'order' ? workingDaysFrom(new Date().toISOString(), props.task.leadDays) : '',
);
const due = computed(
  () =>
    props.step.waits.flatMap((wait) =>
      wait.kind === 'part' && wait.expected !== undefined ? [wait.expected] : [],
    )[0],
);
function go(): void {
  if (props.task.kind === 'order')
    job.act({ kind: 'order-part', body: { step: props.step.id, expected: expected.value } });
  else job.act({ kind: 'receive-part', body: { step: props.step.id } });
}
useKeys([{ key: 'enter', label: props.task.kind === 'order' ? 'It is ordered' : 'It is in', run: go }]);
</script>

<template>
  <StepForm class="part" @send="go">
    <DayField v-if="task.kind === 'order'" v-model="expected" label="Expected on" />
    <p v-else class="label">
      {{ due ? `Expected ${sayDay(due)}.` : '' }} Check length, thread and material against the old
      {{ task.part }}.
    </p>
    <StepBar>
      <BenchButton lamp hint="enter" @press="go">{{
        task.kind === 'order' ? `${task.part}: ordered` : `The ${task.part} is in`
      }}</BenchButton>
    </StepBar>
  </StepForm>
</template>

<style scoped>
.part {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: start;
}
.part > :deep(.day-field) {
  min-width: 280px;
}
</style>
