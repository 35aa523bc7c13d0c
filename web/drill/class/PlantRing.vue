<script setup lang="ts">
import { RING_CALLS, type RingCall } from '@dusk-wren/core/drill';
import { capital } from '@dusk-wren/core/quantity';
import { computed, ref, watch } from 'vue';
import SeatRing from '../../drawings/SeatRing.vue';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import { gapsIn, SECTORS } from '../sectors';

/** A seat drawn by hand: its breaks, or what else is the matter with it. */
const emit = defineEmits<{ plant: [planted: Record<string, unknown> | undefined] }>();
const bare = ref<readonly boolean[]>(Array.from({ length: SECTORS }, () => false));
const call = ref<RingCall>('lap again');
const marks = computed(() => bare.value.map((each): 'none' | 'line' => (each ? 'none' : 'line')));
const paint = (sector: number) => (bare.value = bare.value.map((each, i) => (i === sector ? !each : each)));
const calls = RING_CALLS.map((value) => ({ value, label: capital(value) }));
watch(
  [bare, call],
  () => {
    const gaps = call.value === 'lap again' ? gapsIn(bare.value) : [];
    emit('plant', call.value === 'lap again' && gaps.length === 0 ? undefined : { call: call.value, gaps });
  },
  { immediate: true },
);
</script>

<template>
  <div class="planting">
    <ChoiceRow label="What it is to be called" :options="calls" :picked="call" @pick="call = $event" />
    <SeatRing v-if="call === 'lap again'" :marks="marks" @paint="paint" />
  </div>
</template>

<style scoped>
.planting {
  display: grid;
  gap: 10px;
}
</style>
