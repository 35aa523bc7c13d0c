<script setup lang="ts">
import BenchButton from '../parts/BenchButton.vue';

/** Something about the job that fits better: proposed here, taken by the person. */
defineProps<{ label: string; take: string }>();
const emit = defineEmits<{ take: [] }>();
</script>

<template>
  <aside class="advice row-flat" :aria-label="label">
    <p class="label"><slot /></p>
    <BenchButton @press="emit('take')">{{ take }}</BenchButton>
  </aside>
</template>

<style scoped>
.advice {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
  justify-content: space-between;
  padding: 8px 14px;
  border-left: 5px solid var(--blue);
}
.advice p {
  flex: 1 1 300px;
}
</style>
