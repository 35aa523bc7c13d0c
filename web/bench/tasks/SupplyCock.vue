<script setup lang="ts">
import { MATCH } from '@dusk-wren/core/inspection';
import { measuredLast } from '@dusk-wren/core/job';
import { psig, si, valueIn, type GaugePressure } from '@dusk-wren/core/quantity';
import { computed, ref } from 'vue';
import BenchButton from '../../parts/BenchButton.vue';
import QuantityField from '../../parts/QuantityField.vue';
import { useJob } from '../../stores/job';
import { usePreferences } from '../../stores/preferences';
import type { StrokeBench } from './use-stroke-bench';

/** The regulator and the vent of the bench's own supply. Over the casing limit, where it is known, nothing is let in. */
const props = defineProps<{ bench: StrokeBench }>();
const job = useJob();
const { show } = usePreferences();
const wanted = ref<GaugePressure>();
const isVented = ref(false);
const limit = computed(() => job.state && measuredLast(job.state, MATCH.limit, 'gauge pressure'));
const isOver = computed(() => wanted.value && limit.value && si(wanted.value) > si(limit.value));
const stood = ref<number>();
function vent(): void {
  if (!isVented.value)
    stood.value = valueIn(wanted.value ?? psig(props.bench.now.value?.supplyPsig ?? 0), 'psig');
  isVented.value = !isVented.value;
  props.bench.supply(isVented.value ? 0 : (stood.value ?? 0));
}
function set(): void {
  if (!wanted.value || isOver.value) return;
  isVented.value = false;
  props.bench.supply(valueIn(wanted.value, 'psig'));
}
</script>

<template>
  <form class="supply" @submit.prevent="set">
    <QuantityField v-model="wanted" label="Supply, set to" dimension="gauge pressure" example="20 psig" />
    <BenchButton kind="submit" :disabled="!wanted || isOver === true" lacking="a pressure under its limit"
      >Set it</BenchButton
    >
    <BenchButton @press="vent">{{ isVented ? 'Supply on again' : 'Vent the supply' }}</BenchButton>
    <p v-if="limit" class="label" :class="{ problem: isOver }">Casing limit {{ show(limit) }}</p>
    <p v-else class="label muted">Casing limit not known: ask before it goes up.</p>
  </form>
</template>

<style scoped>
.supply {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: start;
}
.supply > :first-child {
  flex: 0 1 270px;
}
.supply p {
  flex: 1 0 100%;
}
</style>
