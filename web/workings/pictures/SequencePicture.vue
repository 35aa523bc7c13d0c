<script setup lang="ts">
import { boltingSequence } from '@dusk-wren/core/workings';
import { computed, ref } from 'vue';
import BoltCircle from '../../drawings/BoltCircle.vue';

/** The bolt circle of a tightening order; the slider walks the wrench round it. */
const props = defineProps<{ raw: Record<string, unknown> }>();
const at = ref(4);
const order = computed(() => {
  const read = boltingSequence.input.safeParse(props.raw);
  const worked = read.success ? boltingSequence.work(read.data) : undefined;
  return worked?.ok ? (worked.value.result.passes[0]?.order ?? []) : [];
});
const done = computed(() => order.value.slice(0, Math.min(at.value, order.value.length)));
</script>

<template>
  <figure v-if="order.length > 0" class="sequence">
    <BoltCircle :bolts="order.length" :order="order" :done="done" :aim="order[done.length]" />
    <label class="label muted no-print">
      Walk round: {{ done.length }} of {{ order.length }}
      <input v-model.number="at" type="range" min="0" :max="order.length" />
    </label>
  </figure>
</template>

<style scoped>
.sequence {
  display: grid;
  justify-items: center;
  gap: 6px;
}
label {
  display: grid;
  justify-items: center;
  width: 100%;
  max-width: 280px;
}
input {
  width: 100%;
  accent-color: var(--lamp);
  min-height: var(--touch);
}
</style>
