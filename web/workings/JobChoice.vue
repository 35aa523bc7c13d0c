<script setup lang="ts">
import BenchButton from '../parts/BenchButton.vue';
import { useJobChoice } from './job-choice';

/** Which open job: and what is then done with it. */
defineProps<{ act: string }>();
const emit = defineEmits<{ take: []; leave: [] }>();
const choice = useJobChoice();
</script>

<template>
  <form class="choose" @submit.prevent="emit('take')" @keydown.escape.stop="emit('leave')">
    <v-autocomplete
      v-model="choice.chosen"
      label="Job"
      :items="choice.jobs.map((job) => ({ title: `${job.tag}, ${job.customer}`, value: job.id }))"
      no-data-text="No job is open."
    />
    <BenchButton lamp kind="submit" :disabled="!choice.chosen">{{ act }}</BenchButton>
    <BenchButton @press="emit('leave')">Leave it</BenchButton>
  </form>
</template>

<style scoped>
.choose {
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
}
.choose > :first-child {
  min-width: 220px;
}
</style>
