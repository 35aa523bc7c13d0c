<script setup lang="ts">
import type { RegisteredWorking, ResultValue, Worked } from '@dusk-wren/core/workings';
import BenchButton from '../parts/BenchButton.vue';
import WorkingPaper from '../parts/WorkingPaper.vue';
import AnswerFigures from './AnswerFigures.vue';
import AttachToJob from './AttachToJob.vue';
import { asNote } from './words';

/** The answer of a working whose input is a file: figures, a picture in the slot, how it was worked out; print, keep. */
const props = defineProps<{
  title: string;
  working: RegisteredWorking;
  answer: Worked<Readonly<Record<string, ResultValue | undefined>>>;
  /** The job that the page was opened from: one press keeps it there. */
  from?: { readonly id: string; readonly tag: string } | undefined;
}>();
const print = () => window.print();
const note = () => asNote(props.title, props.working, props.answer);
</script>

<template>
  <AnswerFigures :working="working" :result="answer.result" />
  <slot />
  <WorkingPaper :steps="answer.steps" :notes="answer.notes" :source="answer.source" told />
  <div class="buttons no-print">
    <BenchButton @press="print">Print</BenchButton>
    <AttachToJob :command="note" :from="from" />
  </div>
</template>

<style scoped>
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
</style>
