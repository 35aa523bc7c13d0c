<script setup lang="ts">
import type { Screw } from '@dusk-wren/core/job';
import { capital } from '@dusk-wren/core/quantity';
import { ref, watch } from 'vue';
import ScrewHead from '../../charts/ScrewHead.vue';
import BenchButton from '../../parts/BenchButton.vue';

/** A setting screw and how far it was turned: the advice as it starts, what was really done as it is kept. */
const props = defineProps<{
  screw: Screw;
  /** Turns advised, clockwise positive. */
  advised: number;
  words: string;
  /** Turned already since it was read: it is read again first. */
  waits: boolean;
  disabled: boolean;
}>();
const emit = defineEmits<{ turn: [turns: number] }>();

const turns = ref(0.25);
/** A twentieth of a turn is the least that a hand turns. */
const [LEAST, STEP] = [0.05, 20];
watch(
  () => props.advised,
  (turn) => {
    if (turn !== 0) turns.value = Math.max(LEAST, Math.round(Math.abs(turn) * STEP) / STEP);
  },
  { immediate: true },
);
</script>

<template>
  <div class="screw">
    <ScrewHead :way="waits || advised === 0 ? undefined : advised > 0 ? 'clockwise' : 'anticlockwise'" />
    <p>
      <b>{{ capital(screw) }}:</b> {{ words }}
    </p>
    <slot />
    <div class="turns">
      <v-text-field
        v-model.number="turns"
        label="Turns"
        type="number"
        :min="LEAST"
        max="10"
        :step="LEAST"
        inputmode="decimal"
      />
      <BenchButton
        :lamp="!waits && advised < 0"
        :disabled="disabled || !(turns > 0)"
        @press="emit('turn', -turns)"
        >Turned anticlockwise</BenchButton
      >
      <BenchButton
        :lamp="!waits && advised > 0"
        :disabled="disabled || !(turns > 0)"
        @press="emit('turn', turns)"
        >Turned clockwise</BenchButton
      >
    </div>
  </div>
</template>

<style scoped>
.screw {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 6px 12px;
  align-items: center;
  padding: 10px;
  border: 1px solid var(--hazard);
  border-radius: var(--radius);
}
.screw > :not(:first-child, p) {
  grid-column: 1 / -1;
}
.turns {
  display: grid;
  grid-template-columns: minmax(90px, 140px) auto auto;
  gap: 10px;
  justify-content: start;
  align-items: start;
}
@media (max-width: 700px) {
  .turns {
    grid-template-columns: 1fr;
  }
}
</style>
