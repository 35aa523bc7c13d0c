<script setup lang="ts">
import { inject, ref } from 'vue';
import { STEP_BAR } from './step-bar';

/** Buttons of a task. They stand in the bar at the foot of the step, which is on the screen wherever the step is read. */
const bar = inject(STEP_BAR, ref(null));
</script>

<template>
  <Teleport :to="bar" :disabled="!bar"><slot /></Teleport>
</template>
