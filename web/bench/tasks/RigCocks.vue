<script setup lang="ts">
import type { InstrumentControl } from '@dusk-wren/contract';
import { ref } from 'vue';
import BenchButton from '../../parts/BenchButton.vue';

/**
 * Pump and vent of a rig that runs. One that does it by itself pumps with its vent shut until somebody says otherwise; a real
 * one does nothing that nobody has asked for.
 */
const props = defineProps<{ byItself: boolean }>();
const emit = defineEmits<{ set: [control: InstrumentControl] }>();
const pumping = ref(props.byItself);
const vented = ref(false);
function pump(): void {
  pumping.value = !pumping.value;
  emit('set', { kind: 'pump', on: pumping.value });
}
function vent(): void {
  vented.value = !vented.value;
  emit('set', { kind: 'vent', open: vented.value });
}
</script>

<template>
  <div class="cocks" role="group" aria-label="Rig">
    <BenchButton @press="pump">{{ pumping ? 'Hold the pump' : 'Pump on' }}</BenchButton>
    <BenchButton @press="vent">{{ vented ? 'Shut the vent' : 'Open the vent' }}</BenchButton>
  </div>
</template>

<style scoped>
.cocks {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
