<script setup lang="ts">
import { keyName } from '../keys/keys';

/** The bench's button. `lamp` marks the one primary action of a page. */
defineProps<{
  lamp?: boolean;
  hint?: string;
  disabled?: boolean;
  /** What is missing while it is unlit. */
  lacking?: string;
  kind?: 'button' | 'submit';
}>();
defineEmits<{ press: [] }>();
</script>

<template>
  <button
    :type="kind ?? 'button'"
    class="bench-button label"
    :class="{ lamp }"
    :disabled="disabled"
    @click="$emit('press')"
  >
    <span
      ><slot /><small v-if="disabled && lacking">{{ lacking }}</small></span
    >
    <kbd v-if="hint && !disabled" aria-hidden="true">{{ keyName(hint) }}</kbd>
  </button>
</template>

<style scoped>
.bench-button {
  min-height: var(--touch);
  padding: 0 18px;
  display: inline-flex;
  align-items: center;
  justify-content: center;
  gap: 12px;
  font-size: 17px;
  font-weight: 600;
  color: var(--ink);
  background: transparent;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  cursor: pointer;
}
.bench-button:hover:not(:disabled) {
  border-color: var(--muted);
}
.bench-button.lamp {
  color: var(--on-lamp);
  background: var(--lamp);
  border-color: var(--lamp);
}
.bench-button:disabled {
  color: var(--muted);
  background: color-mix(in srgb, var(--muted) 14%, transparent);
  border-color: transparent;
  cursor: not-allowed;
}
small {
  display: block;
  font-size: 14px;
  font-weight: 500;
}
kbd {
  font-family: var(--label);
  font-size: 14px;
  font-weight: 600;
  border: 1px solid currentColor;
  border-radius: 4px;
  padding: 0 6px;
}
@media (max-width: 700px) {
  kbd {
    display: none;
  }
}
</style>
