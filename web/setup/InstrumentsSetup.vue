<script setup lang="ts">
import { INSTRUMENT_KINDS, type InstrumentKind } from '@dusk-wren/core/job';
import { computed, ref } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import DayField from '../parts/DayField.vue';
import InstrumentCard from './InstrumentCard.vue';
import LandedFiles from './LandedFiles.vue';
import RecallsSetup from './RecallsSetup.vue';
import SetupFile from './SetupFile.vue';
import { useSetupInstruments } from './setup-instruments';

/** The register of instruments: the next that is due stands first. */
const { instruments, drivers, wrong, refetch, add, change, calibrate, attach, readings } =
  useSetupInstruments();
const adding = ref(false);
const BY_EYE = 'read by eye';
const blank = () => ({
  name: '',
  kind: 'gauge' as InstrumentKind,
  serial: '',
  reach: '',
  resolution: '',
  driver: BY_EYE,
});
const made = ref(blank());
const due = ref('');
const choices = computed(() => [
  BY_EYE,
  ...drivers.value.filter(({ kind }) => kind === made.value.kind).map(({ driver }) => driver),
]);
const over = computed(() => instruments.value.filter((each) => !each.retired && !each.inCalibration).length);
async function keep(): Promise<void> {
  const { name, driver, ...rest } = made.value;
  const isAdded = await add({
    ...rest,
    name: name.trim(),
    driver: choices.value.includes(driver) && driver !== BY_EYE ? driver : '',
    calibrationDue: due.value,
  });
  if (!isAdded) return;
  [made.value, due.value, adding.value] = [blank(), '', false];
}
</script>

<template>
  <section class="instruments" aria-label="Instruments">
    <div class="head">
      <h2>
        {{ instruments.filter(({ retired }) => !retired).length }} in use{{ over ? `, ${over} overdue` : '' }}
      </h2>
      <BenchButton v-if="!adding" lamp @press="adding = true">Add an instrument</BenchButton>
    </div>
    <form v-if="adding" class="add" @submit.prevent="keep">
      <v-text-field v-model="made.name" label="Name on its tag" maxlength="80" autocomplete="off" autofocus />
      <v-select v-model="made.kind" label="What it is" :items="INSTRUMENT_KINDS" />
      <v-text-field
        v-model="made.serial"
        label="Serial (may be left out)"
        maxlength="60"
        autocomplete="off"
      />
      <v-text-field
        v-model="made.reach"
        label="Reads from, to (may be left out)"
        placeholder="such as 0 to 600 psig"
        maxlength="60"
      />
      <v-text-field
        v-model="made.resolution"
        label="Read to (may be left out)"
        placeholder="such as 2 psi"
        maxlength="40"
      />
      <v-select v-model="made.driver" label="Read by" :items="choices" />
      <DayField v-model="due" label="Calibration due" />
      <div class="acts">
        <BenchButton
          kind="submit"
          lamp
          :disabled="made.name.trim() === '' || due === ''"
          lacking="a name and a day"
          >Keep it</BenchButton
        >
        <BenchButton @press="adding = false">Leave it</BenchButton>
      </div>
    </form>
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
    <SetupFile
      kind="instruments"
      columns="name, kind, calibration due, serial, reads, read to, read by, set to"
      @taken="refetch()"
    />
    <p class="due label">
      <a class="way" href="/api/setup/instruments/due.ics" download>due.ics</a>
      <span>The days that they are due, for any calendar, each with a word four weeks before.</span>
    </p>
    <RecallsSetup />
    <LandedFiles />
    <InstrumentCard
      v-for="instrument in instruments"
      :key="instrument.id"
      :instrument="instrument"
      :drivers="drivers"
      :readings="readings"
      @change="change(instrument.id, $event)"
      @attached="(calibration, file) => attach(instrument.id, calibration, file)"
      @calibrated="calibrate(instrument.id, $event)"
    />
  </section>
</template>

<style scoped>
.instruments {
  display: grid;
  gap: 10px;
}
.head,
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 18px;
  align-items: center;
}
.due {
  display: flex;
  gap: 14px;
  align-items: center;
}
.head {
  justify-content: space-between;
}
.add {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(230px, 1fr));
  gap: 10px;
  align-items: start;
  padding: 14px 16px;
  border: 1px solid var(--lamp);
  border-radius: var(--radius);
}
</style>
