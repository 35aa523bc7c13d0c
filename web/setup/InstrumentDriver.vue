<script setup lang="ts">
import type { DriverSettings, DriverView, SetupInstrument } from '@dusk-wren/contract';
import { computed, ref } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import InstrumentTrial from './InstrumentTrial.vue';
import type { InstrumentChange } from './setup-instruments';

/** What reads an instrument, how that is set, and what it reads now. */
const props = defineProps<{ instrument: SetupInstrument; drivers: readonly DriverView[] }>();
const emit = defineEmits<{ change: [change: InstrumentChange] }>();
const BY_EYE = 'read by eye';
const its = computed(() => props.drivers.filter(({ kind }) => kind === props.instrument.kind));
const choices = computed(() => [BY_EYE, ...its.value.map(({ driver }) => driver)]);
const driver = ref(props.instrument.driver || BY_EYE);
const typed = ref<Record<string, string>>({});
const settings = computed(() => its.value.find((each) => each.driver === driver.value)?.settings ?? []);
const shown = (name: string, usual: number) =>
  typed.value[name] ??
  String((driver.value === props.instrument.driver ? props.instrument.settings[name] : undefined) ?? usual);
const asked = computed<DriverSettings>(() =>
  Object.fromEntries(settings.value.map(({ name, usual }) => [name, Number(shown(name, usual))])),
);
const wrong = computed(() =>
  settings.value
    .filter(({ name, usual, least, most }) => {
      const value = Number(shown(name, usual));
      return shown(name, usual).trim() === '' || !(value >= least && value <= most);
    })
    .map(({ label, least, most }) => `${label.toLowerCase()} from ${least} to ${most}`),
);
const isChanged = computed(() => {
  const is = props.instrument;
  if ((driver.value === BY_EYE ? '' : driver.value) !== is.driver) return true;
  return settings.value.some(({ name, usual }) => asked.value[name] !== (is.settings[name] ?? usual));
});
function turn(to: string): void {
  [driver.value, typed.value] = [to, {}];
}
const keep = () =>
  emit('change', { driver: driver.value === BY_EYE ? '' : driver.value, settings: asked.value });
</script>

<template>
  <section class="driver" aria-label="What reads it">
    <form @submit.prevent="keep">
      <v-select :model-value="driver" label="Read by" :items="choices" @update:model-value="turn" />
      <v-text-field
        v-for="{ name, label, usual, least, most } in settings"
        :key="name"
        :model-value="shown(name, usual)"
        :label="`${label}, ${least} to ${most}`"
        inputmode="decimal"
        @update:model-value="(text: string) => (typed[name] = text)"
      />
      <BenchButton
        v-if="isChanged"
        kind="submit"
        lamp
        :disabled="wrong.length > 0"
        :lacking="wrong.join('; ')"
        >Keep it so</BenchButton
      >
    </form>
    <InstrumentTrial
      v-if="driver !== BY_EYE"
      :key="driver"
      :driver="driver"
      :settings="asked"
      :lacking="wrong.join('; ')"
    />
  </section>
</template>

<style scoped>
.driver {
  display: grid;
  gap: 8px;
}
form {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(190px, 1fr));
  gap: 10px;
  align-items: start;
}
</style>
