<script setup lang="ts">
import { SIDES, type Side } from '@dusk-wren/core/isolation';
import { ref, watch } from 'vue';
import ChoiceRow from '../../parts/ChoiceRow.vue';

/** What is the matter with a line: a block that passes, a gauge that stands at zero. */
const emit = defineEmits<{ plant: [planted: Record<string, unknown>] }>();
type Passing = Side | 'none';
const passes = ref<Passing>('none');
const stuck = ref(false);
const OPTIONS: readonly { value: Passing; label: string }[] = [
  { value: 'none', label: 'Both blocks hold' },
  ...SIDES.map((value) => ({ value, label: `The ${value} block passes` })),
];
watch(
  [passes, stuck],
  () =>
    emit('plant', { gaugeStuck: stuck.value, ...(passes.value === 'none' ? {} : { passes: passes.value }) }),
  { immediate: true },
);
</script>

<template>
  <ChoiceRow label="Blocks" :options="OPTIONS" :picked="passes" @pick="passes = $event" />
  <label class="label ticked"
    ><input v-model="stuck" type="checkbox" /> The gauge stands at zero whatever is behind it</label
  >
</template>

<style scoped>
.ticked {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: var(--touch);
}
</style>
