<script setup lang="ts">
import type { PlannedStep } from '@dusk-wren/core/plan';
import { computed } from 'vue';
import ContactRing from '../parts/ContactRing.vue';
import { useJob } from '../stores/job';

/** A step in one line: done above, waiting below. A ready one can be taken in hand. */
const props = defineProps<{ step: PlannedStep; open?: boolean }>();
defineEmits<{ choose: [] }>();
const job = useJob();
const ring = computed(() => {
  if (props.step.status === 'done') return 'fit';
  if (props.step.task.kind === 'hold') return 'ask';
  if (props.step.task.kind === 'order' || props.step.task.kind === 'arrive') return 'renew';
  return 'not yet';
});
const waits = computed(() => props.step.status === 'waiting' && job.planned !== undefined);
</script>

<template>
  <component
    :is="open ? 'button' : 'div'"
    :id="`step-${step.id}`"
    :type="open ? 'button' : undefined"
    class="fold row-flat label"
    :class="{ waits, open }"
    @click="$emit('choose')"
  >
    <span :class="ring"><ContactRing :verdict="ring" /></span>
    <b>{{ step.title }}</b>
    <span class="muted words"><slot /></span>
    <span v-if="$slots['end']" class="end"><slot name="end" /></span>
  </component>
</template>

<style scoped>
.fold {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: var(--touch);
  padding: 5px 14px;
  font-size: 16px;
  text-align: left;
  color: var(--ink);
  background: var(--rail);
  width: 100%;
  box-sizing: border-box;
}
.fold.waits {
  border-style: dashed;
}
.fold.open {
  cursor: pointer;
}
.fold.open:hover {
  border-color: var(--muted);
}
b {
  font-weight: 600;
  flex: 0 1 auto;
  max-width: 60%;
}
.words {
  flex: 1 1 0;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.end {
  margin-left: auto;
  flex: none;
}
@media (max-width: 700px) {
  .fold {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 0 10px;
  }
  b {
    max-width: none;
  }
  .fold > .words,
  .end {
    grid-column: 2;
    margin-left: 0;
    white-space: normal;
  }
}
</style>
