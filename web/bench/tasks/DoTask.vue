<script setup lang="ts">
import { capital } from '@dusk-wren/core/quantity';
import type { PlannedStep } from '@dusk-wren/core/plan';
import { noteOf, type TaskOf } from '@dusk-wren/core/task';
import type { RawCommand } from '@dusk-wren/core/command';
import { computed } from 'vue';
import { useKeys } from '../../keys/keys';
import BenchButton from '../../parts/BenchButton.vue';
import { useJob } from '../../stores/job';
import { useDraft } from '../../stores/drafts';
import SignPress from '../SignPress.vue';
import StepBar from '../StepBar.vue';
import StepForm from '../StepForm.vue';

/** A step that is simply done, with a word if there is one to say, or with all that has to be written down. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'do'> }>();
const job = useJob();
const several = typeof props.task.writes === 'object' ? props.task.writes : undefined;
const fields = (several ?? ['note']).map((what) => ({ what, text: useDraft(what) }));
const label = (what: string): string => {
  if (several) return capital(what);
  return typeof props.task.writes === 'string' ? capital(props.task.writes) : 'Note (may be left out)';
};
/** What has to be written down first. */
const lacking = computed(() => {
  if (props.task.writes === undefined) return '';
  const empty = fields.filter(({ text }) => text.value.trim() === '');
  if (empty.length === 0) return '';
  return several ? `write down first: ${empty.map(({ what }) => what).join(', ')}` : 'write it down first';
});
const note = () => {
  const written = fields.flatMap(({ what, text }) =>
    text.value.trim() === '' ? [] : [[what, text.value.trim()] as const],
  );
  return several ? noteOf(written) : (written[0]?.[1] ?? '');
};
function commandOf(notNeeded: boolean): RawCommand {
  const text = note();
  const body = {
    step: props.step.id,
    ...(text ? { note: text } : {}),
    ...(notNeeded ? { notNeeded: true as const } : {}),
  };
  return { kind: 'do-step', body };
}
/** Others may do it, and not who is signed in: they give their name and PIN here. */
const isOthers = computed(() => {
  const { mayBy } = props.task;
  return mayBy !== undefined && lacking.value === '' && job.refusal(commandOf(false)) !== '';
});
const wholeCommand = computed(() => commandOf(false));
function clear(): void {
  for (const field of fields) field.text.value = '';
}
function done(notNeeded: boolean): void {
  if (job.act(commandOf(notNeeded))) clear();
}
useKeys([
  { key: 'enter', label: 'Step done', run: () => done(false), when: () => lacking.value === '' },
  { key: 'x', label: 'Not needed', run: () => done(true), when: () => props.step.optional !== undefined },
]);
</script>

<template>
  <StepForm @send="done(false)">
    <v-text-field
      v-for="{ what, text } in fields"
      :key="what"
      v-model="text.value"
      :label="label(what)"
      :maxlength="several ? 120 : 400"
    />
    <StepBar>
      <SignPress v-if="isOthers" lamp :command="wholeCommand" @signed="clear">Done</SignPress>
      <BenchButton v-else lamp hint="enter" :disabled="lacking !== ''" :lacking="lacking" @press="done(false)"
        >Done</BenchButton
      >
      <BenchButton v-if="step.optional" hint="x" @press="done(true)">Not needed</BenchButton>
    </StepBar>
  </StepForm>
</template>
