<script setup lang="ts" generic="T extends string">
/** Views of one page, side by side; the one shown is underlined in lamp. */
defineProps<{ views: readonly (readonly [name: T, label: string])[] }>();
const view = defineModel<T>({ required: true });
</script>

<template>
  <div class="tabs label" role="group" aria-label="Show">
    <button
      v-for="[name, label] in views"
      :key="name"
      type="button"
      :aria-pressed="view === name"
      @click="view = name"
    >
      {{ label }}
    </button>
    <slot />
  </div>
</template>

<style scoped>
.tabs {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}
button {
  min-height: 40px;
  font: inherit;
  font-size: 17px;
  font-weight: 600;
  color: var(--muted);
  background: none;
  border: 0;
  border-bottom: 3px solid transparent;
  cursor: pointer;
}
button[aria-pressed='true'] {
  color: var(--ink);
  border-color: var(--lamp);
}
</style>
