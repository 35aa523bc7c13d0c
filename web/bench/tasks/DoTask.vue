<script setup lang="ts">
import { capital } from '@dusk-wren/core/quantity';
import type { PlannedStep } from '@dusk-wren/core/plan';
import type { TaskOf } from '@dusk-wren/core/task';
import { computed } from 'vue';
import { useKeys } from '../../keys/keys';
import BenchButton from '../../parts/BenchButton.vue';
import { useJob } from '../../stores/job';
import { useDraft } from '../../stores/drafts';
import StepBar from '../StepBar.vue';
import StepForm from '../StepForm.vue';

/** A step that is simply done, with a word if there is one to say. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'do'> }>();
const job = useJob();
const note = useDraft('note');
const label = computed(() =>
  props.task.writes === undefined ? 'Note (may be left out)' : capital(props.task.writes),
);
/** What has to be written down first. */
const lacking = computed(() =>
  props.task.writes !== undefined && note.value.trim() === '' ? 'write it down first' : '',
);
function done(notNeeded: boolean): void {
  const text = note.value.trim();
  const body = {
    step: props.step.id,
    ...(text ? { note: text } : {}),
    ...(notNeeded ? { notNeeded: true as const } : {}),
  };
  if (job.act({ kind: 'do-step', body })) note.value = '';
}
useKeys([
  { key: 'enter', label: 'Step done', run: () => done(false), when: () => lacking.value === '' },
  { key: 'x', label: 'Not needed', run: () => done(true), when: () => props.step.optional !== undefined },
]);
</script>

<template>
  <StepForm @send="done(false)">
    <v-text-field v-model="note" :label="label" maxlength="400" />
    <StepBar>
      <BenchButton lamp hint="enter" :disabled="lacking !== ''" :lacking="lacking" @press="done(false)"
        >Done</BenchButton
      >
      <BenchButton v-if="step.optional" hint="x" @press="done(true)">Not needed</BenchButton>
    </StepBar>
  </StepForm>
</template>
