<script setup lang="ts" generic="T extends string">
import { withArrows } from '../keys/arrows';

/** Views of one page, side by side; the one shown is underlined in lamp. */
defineProps<{ views: readonly (readonly [name: T, label: string])[] }>();
const view = defineModel<T>({ required: true });

/** The one that is shown is seen whole, where they do not all fit. */
function show(name: T, { currentTarget }: MouseEvent): void {
  view.value = name;
  if (currentTarget instanceof HTMLElement)
    currentTarget.scrollIntoView({ block: 'nearest', inline: 'nearest' });
}
</script>

<template>
  <div class="tabs label">
    <div class="views" role="group" aria-label="Show" @keydown="withArrows">
      <button
        v-for="[name, label] in views"
        :key="name"
        type="button"
        :aria-pressed="view === name"
        :tabindex="view === name ? 0 : -1"
        @click="show(name, $event)"
      >
        {{ label }}
      </button>
    </div>
    <slot />
  </div>
</template>

<style scoped>
.tabs {
  display: flex;
  gap: 8px;
  align-items: start;
}
/* Where they do not all fit, they scroll sideways and stay one line. */
.views {
  display: flex;
  flex: 1;
  min-width: 0;
  gap: 2px;
  overflow-x: auto;
  scrollbar-width: none;
}
button {
  flex: none;
  min-height: var(--touch);
  min-width: var(--touch);
  padding: 0 8px;
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
