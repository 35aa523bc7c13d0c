<script setup lang="ts">
import { valueIn } from '@dusk-wren/core/quantity';
import type { ScrewAdvice } from '@dusk-wren/core/task';
import WorkingPaper from '../../parts/WorkingPaper.vue';
import TurnScrew from './TurnScrew.vue';

/** The screw that is advised next, with the working behind the advice. */
defineProps<{
  advice: ScrewAdvice;
  words: string;
  /** Turned already since it was read. */
  waits: boolean;
  disabled: boolean;
}>();
const emit = defineEmits<{ turn: [turns: number] }>();
</script>

<template>
  <TurnScrew
    :screw="advice.screw"
    :advised="valueIn(advice.turn, 'turn')"
    :words="words"
    :waits="waits"
    :disabled="disabled"
    @turn="emit('turn', $event)"
  >
    <slot />
    <WorkingPaper :steps="advice.worked.steps" :notes="advice.worked.notes" :source="advice.worked.source" />
  </TurnScrew>
</template>
