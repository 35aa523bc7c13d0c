<script setup lang="ts">
import { ref } from 'vue';
import BenchButton from '../../parts/BenchButton.vue';

/** Something that is turned either way, and by how much. */
const props = defineProps<{
  label: string;
  least: number;
  most: number;
  usual: number;
  /** The words of both ways: back, and on. */
  ways: readonly [back: string, on: string];
  disabled: boolean;
}>();
const emit = defineEmits<{ turn: [by: number] }>();
const by = ref(props.usual);
/** In whole steps, so that what is turned is what was typed. */
const turned = () => Math.round(by.value / props.least) * props.least;
</script>

<template>
  <div class="turn-by">
    <v-text-field
      v-model.number="by"
      :label="label"
      type="number"
      :min="least"
      :max="most"
      :step="least"
      :inputmode="least < 1 ? 'decimal' : 'numeric'"
    />
    <BenchButton :disabled="disabled || !(by >= least && by <= most)" @press="emit('turn', -turned())">{{
      ways[0]
    }}</BenchButton>
    <BenchButton :disabled="disabled || !(by >= least && by <= most)" @press="emit('turn', turned())">{{
      ways[1]
    }}</BenchButton>
  </div>
</template>

<style scoped>
.turn-by {
  display: grid;
  grid-template-columns: minmax(110px, 160px) auto auto;
  gap: 8px;
  justify-content: start;
  align-items: start;
}
@media (max-width: 520px) {
  .turn-by {
    grid-template-columns: auto auto;
  }
  .turn-by > .v-text-field {
    grid-column: 1 / -1;
  }
}
</style>
