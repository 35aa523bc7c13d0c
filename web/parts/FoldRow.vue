<script setup lang="ts">
/** A row that says the most in a line, and unfolds the rest; edged by what it is. */
defineProps<{ edge?: 'blue' | 'renew' }>();
</script>

<template>
  <details class="row-flat" :class="edge">
    <summary><slot name="line" /></summary>
    <slot />
  </details>
</template>

<style scoped>
.blue {
  border-left: 5px solid var(--blue);
}
.renew {
  border-left: 5px solid var(--renew);
}
summary {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  align-items: center;
  min-height: var(--touch);
  padding: 4px 14px;
}
</style>
