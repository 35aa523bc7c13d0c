<script setup lang="ts" generic="T extends string">
import { useTemplateRef, watch } from 'vue';
import { withArrows } from '../keys/arrows';

/** Views of one page, side by side; the one shown is underlined in lamp. */
defineProps<{ views: readonly (readonly [name: T, label: string])[] }>();
const view = defineModel<T>({ required: true });

const buttons = useTemplateRef<HTMLButtonElement[]>('buttons');
/** The one that is shown is seen whole, where they do not all fit. */
watch(
  [view, buttons],
  () => {
    const shown = buttons.value?.find((button) => button.ariaPressed === 'true');
    shown?.scrollIntoView?.({ block: 'nearest', inline: 'nearest' });
  },
  { flush: 'post' },
);
</script>

<template>
  <div class="tabs label">
    <div class="views" role="group" aria-label="Show" @keydown="withArrows">
      <button
        v-for="[name, label] in views"
        :key="name"
        ref="buttons"
        type="button"
        :aria-pressed="view === name"
        :tabindex="view === name ? 0 : -1"
        @click="view = name"
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
