<script setup lang="ts">
import type { DriverView, InstrumentReadings, SetupInstrument } from '@dusk-wren/contract';
import { formatNumber } from '@dusk-wren/core/quantity';
import { CALIBRATION_SOON } from '@dusk-wren/core/job';
import { workingDaysBetween } from '@dusk-wren/core/plan';
import { computed, ref } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import DayField from '../parts/DayField.vue';
import { isoDay, sayDay, sayMoment } from '../parts/dates';
import { useTrying } from '../stores/trying';
import CertificateFile from './CertificateFile.vue';
import InstrumentDriver from './InstrumentDriver.vue';
import InstrumentTrace from './InstrumentTrace.vue';
import type { Calibrated, InstrumentChange } from './setup-instruments';

/** An instrument: what it is, how long it is good, how it was found and left, and what it read since it was last good. */
const props = defineProps<{
  instrument: SetupInstrument;
  drivers: readonly DriverView[];
  readings: (id: string) => Promise<InstrumentReadings>;
}>();
const emit = defineEmits<{
  change: [change: InstrumentChange];
  calibrated: [done: Calibrated];
  attached: [calibration: number, file: File];
}>();
const today = isoDay(new Date());
const left = computed(() => workingDaysBetween(today, props.instrument.calibrationDue));
const standing = computed(() => {
  if (props.instrument.retired) return 'gone';
  if (!props.instrument.inCalibration) return 'over';
  return left.value <= CALIBRATION_SOON ? 'soon' : 'good';
});
const words = computed(() => {
  const due = sayDay(props.instrument.calibrationDue);
  return {
    gone: 'out of use',
    over: `was due ${due}: no reading of it counts`,
    soon: `due ${due}, in ${left.value} working days`,
    good: `good until ${due}`,
  }[standing.value];
});
const isOpen = ref(false);
const day = ref(today);
const due = ref('');
const found = ref('');
const leftOff = ref('');
const certificate = ref('');
const isWhole = computed(
  () =>
    due.value !== '' &&
    certificate.value.trim() !== '' &&
    [found.value, leftOff.value].every((text) => text.trim() !== '' && Number.isFinite(Number(text))),
);
function calibrated(): void {
  emit('calibrated', {
    day: day.value,
    due: due.value,
    foundOffPercent: Number(found.value),
    leftOffPercent: Number(leftOff.value),
    certificate: certificate.value.trim(),
  });
  [due.value, found.value, leftOff.value, certificate.value] = ['', '', '', ''];
}
const since = ref<InstrumentReadings>();
const { wrong, trying } = useTrying();
const look = () =>
  trying(async () => {
    since.value = await props.readings(props.instrument.id);
  });
const off = (percent: number) => `${formatNumber(percent, 2)} %`;
</script>

<template>
  <details class="instrument" :class="standing" @toggle="isOpen = !isOpen">
    <summary>
      <b>{{ instrument.name }}</b>
      <span class="label">{{ instrument.kind }}{{ instrument.simulated ? ', simulated' : '' }}</span>
      <span class="label muted">{{
        [instrument.serial && `serial ${instrument.serial}`, instrument.reach, instrument.resolution]
          .filter(Boolean)
          .join(' · ')
      }}</span>
      <span class="label due">{{ words }}</span>
    </summary>
    <div v-if="isOpen" class="body">
      <ol v-if="instrument.calibrations.length > 0" class="done label">
        <li v-for="each in instrument.calibrations" :key="each.id">
          {{ sayDay(each.day) }}: found <b>{{ off(each.foundOffPercent) }}</b> off, left
          <b>{{ off(each.leftOffPercent) }}</b>; certificate {{ each.certificate }}, until
          {{ sayDay(each.due) }}. {{ each.by }}
          <CertificateFile
            :instrument="instrument.id"
            :calibration="each"
            @attached="emit('attached', each.id, $event)"
          />
        </li>
      </ol>
      <form class="calibrated" @submit.prevent="calibrated">
        <DayField v-model="day" label="Calibrated on" />
        <DayField v-model="due" label="Due again" />
        <v-text-field v-model="found" label="Found off by, %" inputmode="decimal" />
        <v-text-field v-model="leftOff" label="Left off by, %" inputmode="decimal" />
        <v-text-field v-model="certificate" label="Number of its certificate" maxlength="60" />
        <BenchButton kind="submit" :lamp="isWhole" :disabled="!isWhole" lacking="all five"
          >Keep it</BenchButton
        >
      </form>
      <InstrumentDriver
        v-if="standing !== 'gone'"
        :instrument="instrument"
        :drivers="drivers"
        @change="emit('change', $event)"
      />
      <div class="acts">
        <BenchButton @press="look">What it read since it was last good</BenchButton>
        <BenchButton @press="emit('change', { retired: !instrument.retired })">{{
          instrument.retired ? 'In use again' : 'Out of use'
        }}</BenchButton>
      </div>
      <InstrumentTrace v-if="instrument.calibrations.length > 0" :id="instrument.id" />
      <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
      <section v-if="since" aria-label="What it read">
        <h3>
          {{ since.readings.length }}{{ since.more ? ' or more' : '' }} readings{{
            since.since ? ` since ${sayDay(since.since)}` : ' on record'
          }}
        </h3>
        <ol class="read">
          <li v-for="each in since.readings" :key="`${each.job} ${each.at} ${each.what}`">
            <router-link class="way" :to="`/jobs/${each.job}`">{{ each.tag }}</router-link>
            <b>{{ each.what }}</b>
            <span class="label muted">{{ each.step }}, {{ each.by }}, {{ sayMoment(each.at) }}</span>
          </li>
        </ol>
      </section>
    </div>
  </details>
</template>

<style scoped>
.instrument {
  border: 1px solid var(--line);
  border-left-width: 6px;
  border-radius: var(--radius);
  background: var(--card);
}
.good {
  border-left-color: var(--fit);
}
.soon {
  border-left-color: var(--rework);
}
.over {
  border-left-color: var(--renew);
}
.over .due {
  color: var(--renew);
}
.gone {
  border-style: dashed;
  background: none;
}
summary {
  display: grid;
  grid-template-columns: minmax(120px, 1fr) minmax(130px, 1fr) minmax(120px, 1.6fr) minmax(160px, 1.4fr);
  gap: 4px 16px;
  align-items: center;
  min-height: 58px;
  padding: 4px 16px;
}
summary b {
  font-size: 18px;
}
.body {
  display: grid;
  gap: 12px;
  padding: 6px 16px 16px;
}
.calibrated {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(190px, 1fr));
  gap: 10px;
  align-items: start;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.done {
  display: grid;
  gap: 4px;
  padding-left: 20px;
  margin: 0;
}
.read {
  display: grid;
  gap: 2px;
  padding: 0;
  margin: 6px 0 0;
  list-style: none;
}
.read li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  align-items: baseline;
}
@media (max-width: 700px) {
  summary {
    grid-template-columns: 1fr auto;
  }
  .due {
    grid-column: 1 / -1;
  }
}
</style>
