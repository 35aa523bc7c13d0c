<script setup lang="ts">
import { onMounted, useTemplateRef } from 'vue';
import BenchButton from '../parts/BenchButton.vue';

/** What is shown this once: it stays until whoever asked for it says that it is passed on. */
defineProps<{ label: string; passed: string }>();
defineEmits<{ close: [] }>();
const root = useTemplateRef<HTMLElement>('root');
// Whoever scrolled away to ask for it has to see it.
onMounted(() => root.value?.scrollIntoView({ block: 'nearest' }));
</script>

<template>
  <section ref="root" class="slip" :aria-label="label">
    <slot />
    <BenchButton lamp @press="$emit('close')">{{ passed }}</BenchButton>
  </section>
</template>

<style scoped>
.slip {
  display: grid;
  gap: 8px;
  justify-items: start;
  padding: 14px 18px;
  border: 1px solid var(--lamp);
  border-radius: var(--radius);
  background: var(--lit);
}
</style>
