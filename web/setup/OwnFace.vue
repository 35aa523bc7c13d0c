<script setup lang="ts">
import { comparedView, type Compared, type DriverSettings } from '@dusk-wren/contract';
import { formatFigure, readNumber } from '@dusk-wren/core/quantity';
import { computed, ref, shallowRef, watch } from 'vue';
import { call } from '../api/client';
import BenchButton from '../parts/BenchButton.vue';
import { useTrying } from '../stores/trying';
import type { SettingRows } from './driver-settings';

/**
 * What the instrument's own face shows, held against what comes over the wire: a wrong unit, byte order or scale is found
 * by comparing, before anything is read with it.
 */
const props = defineProps<{
  driver: string;
  settings: DriverSettings;
  rows: SettingRows['rows'];
  lacking: string;
}>();
const emit = defineEmits<{ set: [settings: DriverSettings] }>();
const { wrong, busy, trying } = useTrying();
const comparable = computed(() =>
  props.rows.flatMap(({ of, settings }) => {
    const unit = settings.find(({ label }) => label === 'Is in');
    return unit?.is === 'choice'
      ? [{ of, units: unit.options, is: String(props.settings[unit.name] ?? unit.usual) }]
      : [];
  }),
);
const channel = ref(comparable.value[0]?.of ?? '');
const its = computed(() => comparable.value.find(({ of }) => of === channel.value));
const unit = ref(its.value?.is ?? '');
const shows = ref('');
const found = shallowRef<Compared>();
const figure = computed(() => readNumber(shows.value)?.value);
watch([channel, () => props.settings, shows, unit], () => (found.value = undefined));
watch(channel, () => (unit.value = its.value?.is ?? ''));

async function compare(): Promise<void> {
  const body = { settings: props.settings, channel: channel.value, shows: figure.value, unit: unit.value };
  found.value = await trying(() =>
    call(`/setup/drivers/${encodeURIComponent(props.driver)}/compare`, comparedView, {
      method: 'POST',
      body,
    }),
  );
}
const words = computed(() => {
  if (!found.value) return '';
  const { reads, isSame, ways } = found.value;
  const said =
    reads === null ? 'What comes is no number' : `It comes as ${formatFigure(reads)} ${found.value.unit}`;
  if (isSame) return `${said}: it is set as it should be.`;
  return ways.length > 0
    ? `${said}. It would read what its face shows if it were set so:`
    : `${said}, and no way of reading these registers gives what its face shows: is it the right register?`;
});
</script>

<template>
  <form v-if="comparable.length > 0" class="face" @submit.prevent="compare">
    <v-select
      v-if="comparable.length > 1"
      v-model="channel"
      label="Compare"
      :items="comparable.map(({ of }) => of)"
    />
    <v-text-field v-model="shows" :label="`Its own face shows, ${channel}`" inputmode="decimal" />
    <v-select v-model="unit" label="In" :items="[...(its?.units ?? [])]" />
    <BenchButton
      kind="submit"
      :disabled="lacking !== '' || figure === undefined || figure === 0 || busy"
      :lacking="lacking || (figure === 0 ? 'at zero every way reads alike' : 'what its own face shows')"
      >Compare</BenchButton
    >
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
    <p v-else class="said" role="status">{{ words }}</p>
    <ul v-if="found && !found.isSame" aria-label="Ways to set it">
      <li v-for="way in found.ways" :key="`${way.type} ${way.order} ${way.scale} ${way.unit}`">
        <BenchButton @press="emit('set', way.settings)"
          >{{ way.type }}, {{ way.order }}, times {{ way.scale }}, in {{ way.unit }}</BenchButton
        >
      </li>
    </ul>
  </form>
</template>

<style scoped>
.face {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(190px, 1fr));
  gap: 10px;
  align-items: start;
}
.said,
.problem,
ul {
  grid-column: 1 / -1;
}
ul {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  list-style: none;
  padding: 0;
}
</style>
