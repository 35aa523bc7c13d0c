<script setup lang="ts">
import type { PlannedStep } from '@dusk-wren/core/plan';
import type { TaskOf } from '@dusk-wren/core/task';
import { questionOf } from '@dusk-wren/core/valve';

/** Figures are missing: nothing can be done here before they are known. */
defineProps<{ step: PlannedStep; task: TaskOf<'wants'> }>();
</script>

<template>
  <p class="problem">
    Figures are missing: {{ task.wants.map(questionOf).join(' ') }} Answer the questions of the first stage.
  </p>
</template>
