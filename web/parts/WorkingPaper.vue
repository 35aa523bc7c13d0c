<script setup lang="ts">
import { describeSource, type Source } from '@dusk-wren/core/standards';
import type { Step } from '@dusk-wren/core/workings';

/**
 * How a figure was worked out: formula, numbers put in, result, and whose it is. The steps unfold; where there is
 * room (`told`), what to know about the answer and whose figure it is stand in the open.
 */
defineProps<{ steps: readonly Step[]; notes: readonly string[]; source: Source; told?: boolean }>();
</script>

<template>
  <div class="working">
    <template v-if="told">
      <p v-for="text in notes" :key="text" class="note">{{ text }}</p>
      <p class="source label">{{ describeSource(source) }}</p>
    </template>
    <details>
      <summary class="label">How this was worked out</summary>
      <ol>
        <li v-for="(step, i) in steps" :key="i">
          <span class="what">{{ step.label }}</span>
          <span class="formula label"
            >{{ step.formula }}<template v-if="step.substituted"> = {{ step.substituted }}</template></span
          >
          <b class="number">{{ step.result }}</b>
        </li>
      </ol>
      <template v-if="!told">
        <p v-for="text in notes" :key="text" class="muted">{{ text }}</p>
        <p class="source label">{{ describeSource(source) }}</p>
      </template>
    </details>
  </div>
</template>

<style scoped>
.working {
  font-size: 15px;
}
summary {
  cursor: pointer;
  min-height: var(--touch);
  color: var(--muted);
  text-decoration: underline dotted;
  text-underline-offset: 3px;
  display: inline-flex;
  align-items: center;
}
li {
  display: grid;
  grid-template-columns: minmax(120px, 1fr) minmax(0, 1.6fr) auto;
  gap: 4px 14px;
  padding: 5px 0;
  border-top: 1px solid var(--line);
}
.formula {
  color: var(--muted);
}
.note {
  padding-left: 12px;
  border-left: 3px solid var(--lamp-deep);
  margin-bottom: 6px;
}
.source {
  margin-top: 6px;
  font-weight: 600;
}
@media print {
  details::details-content {
    content-visibility: visible;
    block-size: auto;
  }
}
@media (max-width: 700px) {
  li {
    grid-template-columns: 1fr auto;
  }
  .formula {
    grid-column: 1 / -1;
    grid-row: 2;
  }
}
</style>
