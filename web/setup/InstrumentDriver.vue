<script setup lang="ts">
import type { DriverSetting, DriverSettings, DriverView, SetupInstrument } from '@dusk-wren/contract';
import { computed, ref } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import { asKept, isThere, rowsOf, wrongOf } from './driver-settings';
import InstrumentTrial from './InstrumentTrial.vue';
import OwnFace from './OwnFace.vue';
import RegisterMap from './RegisterMap.vue';
import SettingField from './SettingField.vue';
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
const map = computed(() => rowsOf(settings.value));
const kept = (name: string) =>
  driver.value === props.instrument.driver ? props.instrument.settings[name] : undefined;
const shown = (setting: DriverSetting): string =>
  typed.value[setting.name] ?? String(kept(setting.name) ?? setting.usual);
const asked = computed<DriverSettings>(() =>
  Object.fromEntries(settings.value.map((each) => [each.name, asKept(each, shown(each))])),
);
/** Of a value that the device has not, nothing else is wanted. */
const wanted = computed(() => [
  ...map.value.own,
  ...map.value.rows.filter((row) => isThere(row, shown)).flatMap((row) => row.settings),
]);
const wrong = computed(() => wanted.value.flatMap((each) => wrongOf(each, shown(each)) ?? []));
const isChanged = computed(() => {
  const is = props.instrument;
  if ((driver.value === BY_EYE ? '' : driver.value) !== is.driver) return true;
  return settings.value.some(({ name, usual }) => asked.value[name] !== (is.settings[name] ?? usual));
});
function turn(to: string): void {
  [driver.value, typed.value] = [to, {}];
}
function set(to: DriverSettings): void {
  const texts = Object.entries(to).map(([name, value]) => [name, String(value)]);
  typed.value = { ...typed.value, ...Object.fromEntries(texts) };
}
const keep = () =>
  emit('change', { driver: driver.value === BY_EYE ? '' : driver.value, settings: asked.value });
</script>

<template>
  <section class="driver" aria-label="What reads it">
    <form @submit.prevent="keep">
      <div class="own">
        <v-select :model-value="driver" label="Read by" :items="choices" @update:model-value="turn" />
        <SettingField
          v-for="setting in map.own"
          :key="setting.name"
          :setting="setting"
          :label="setting.label"
          :model-value="shown(setting)"
          @update:model-value="(text) => (typed[setting.name] = text)"
        />
      </div>
      <RegisterMap
        v-if="map.rows.length > 0"
        :map="map"
        :shown="shown"
        @type="(name, text) => (typed[name] = text)"
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
    <OwnFace
      v-if="map.rows.length > 0"
      :key="`face of ${driver}`"
      :driver="driver"
      :settings="asked"
      :rows="map.rows.filter((row) => isThere(row, shown))"
      :lacking="wrong.join('; ')"
      @set="set"
    />
  </section>
</template>

<style scoped>
.driver,
form {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}
.own {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(190px, 1fr));
  gap: 10px;
  align-items: start;
}
</style>
