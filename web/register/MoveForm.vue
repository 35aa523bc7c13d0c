<script setup lang="ts">
import { STANDINGS, type ValvePage } from '@dusk-wren/contract';
import { computed, ref } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import type { ValveMove } from './valve-page';

/** A valve that stands elsewhere now, under another tag, as a spare, or nowhere any more. */
const props = defineProps<{ page: ValvePage }>();
const emit = defineEmits<{ move: [asked: ValveMove]; leave: [] }>();
const { valve } = props.page;
const standing = ref(props.page.standing);
const tag = ref(valve.tag);
const customer = ref(valve.customer);
const location = ref(valve.location);
const why = ref('');
const change = computed<Omit<ValveMove, 'why'>>(() => ({
  ...(standing.value === props.page.standing ? {} : { standing: standing.value }),
  ...(tag.value.trim() === valve.tag ? {} : { tag: tag.value.trim() }),
  ...(customer.value.trim() === valve.customer ? {} : { customer: customer.value.trim() }),
  ...(location.value.trim() === valve.location ? {} : { location: location.value.trim() }),
}));
const isWhole = computed(
  () =>
    Object.keys(change.value).length > 0 &&
    [tag, customer, location].every(({ value }) => value.trim() !== ''),
);
const keep = () => isWhole.value && emit('move', { ...change.value, why: why.value.trim() });
</script>

<template>
  <form class="move row-flat" @submit.prevent="keep">
    <v-select v-model="standing" label="Where it stands" :items="[...STANDINGS]" />
    <v-text-field v-model="tag" label="Tag" maxlength="40" autocomplete="off" />
    <v-text-field v-model="customer" label="Customer" maxlength="80" autocomplete="off" />
    <v-text-field v-model="location" label="Place" maxlength="120" autocomplete="off" />
    <v-text-field v-model="why" label="Why (may be left out)" maxlength="120" autocomplete="off" />
    <div class="acts">
      <BenchButton kind="submit" :lamp="isWhole" :disabled="!isWhole" lacking="a change">Keep it</BenchButton>
      <BenchButton @press="emit('leave')">Leave it</BenchButton>
    </div>
  </form>
</template>

<style scoped>
.move {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
  gap: 10px;
  align-items: start;
  padding: 14px 16px;
}
.acts {
  display: flex;
  gap: 10px;
}
</style>
