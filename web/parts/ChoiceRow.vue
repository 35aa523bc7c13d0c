<script setup lang="ts" generic="T extends string | number">
/** A few choices side by side, one of which holds: large enough for gloves, each told by its own words. */
interface Option {
  readonly value: T;
  readonly label: string;
}
defineProps<{ label: string; options: readonly Option[]; picked: T | undefined }>();
defineEmits<{ pick: [value: T] }>();
</script>

<template>
  <div class="choice-row" role="radiogroup" :aria-label="label">
    <button
      v-for="(each, i) in options"
      :key="each.value"
      type="button"
      role="radio"
      class="label"
      :aria-checked="picked === each.value"
      @click="$emit('pick', each.value)"
    >
      <slot :option="each" :index="i">{{ each.label }}</slot>
    </button>
  </div>
</template>

<style scoped>
.choice-row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
button {
  display: inline-flex;
  gap: 10px;
  align-items: center;
  justify-content: center;
  min-width: 56px;
  min-height: var(--touch);
  padding: 0 14px;
  font-size: 16px;
  font-weight: 600;
  color: var(--ink);
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: var(--radius);
  cursor: pointer;
}
button[aria-checked='true'] {
  border-color: var(--blue);
  box-shadow: inset 0 -4px 0 var(--blue);
}
</style>
