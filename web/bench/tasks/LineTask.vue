<script setup lang="ts">
import { checkLine, SHUT_BY, SHUT_BY_WORDS, SIDES, type Line, type ShutBy } from '@dusk-wren/core/isolation';
import { lineOf } from '@dusk-wren/core/job';
import type { TaskOf } from '@dusk-wren/core/task';
import type { PlannedStep } from '@dusk-wren/core/plan';
import { computed, ref } from 'vue';
import LineDrawing from '../../drawings/LineDrawing.vue';
import { useKeys } from '../../keys/keys';
import BenchButton from '../../parts/BenchButton.vue';
import QuantityField from '../../parts/QuantityField.vue';
import { useJob } from '../../stores/job';
import StepBar from '../StepBar.vue';
import StepForm from '../StepForm.vue';
import type { Quantity } from '@dusk-wren/core/quantity';

/** How the valve stands in its line, by choices that are drawn as they are made; the sheet follows from it. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'line'> }>();
const job = useJob();
const line = ref<Line | undefined>(job.state && lineOf(job.state));
const trapped = ref<Quantity<'volume'> | undefined>(line.value?.trapped);
const area = ref<Quantity<'area'> | undefined>(line.value?.actuatorArea);
const travel = ref<Quantity<'length'> | undefined>(line.value?.actuatorTravel);
const sprung = computed(() => job.planned?.valve.plate?.springRange !== undefined);
const wrong = computed(() => (line.value ? checkLine(line.value) : []));
const shutItems = SHUT_BY.map((value) => ({ value, title: SHUT_BY_WORDS[value] }));
const signals = [
  { value: 'none', title: 'no signal' },
  { value: 'pneumatic', title: 'pneumatic signal' },
  { value: 'electric', title: 'electric signal' },
];
const TICKS = [
  ['bypass', 'It has a bypass'],
  ['bodyVent', 'Its body has a vent, drain or fitting'],
  ['air', 'Supply air'],
  ['power', 'Electrical power'],
] as const;

function keep(): void {
  if (!line.value || wrong.value.length > 0) return;
  const { trapped: _volume, actuatorArea: _area, actuatorTravel: _travel, ...drawn } = line.value;
  const known = {
    ...(trapped.value ? { trapped: trapped.value } : {}),
    ...(area.value ? { actuatorArea: area.value } : {}),
    ...(travel.value ? { actuatorTravel: travel.value } : {}),
  };
  job.act({
    kind: 'draw-line',
    body: { step: props.step.id, line: { ...drawn, ...known } },
  });
}
useKeys([{ key: 'enter', label: 'This is the line', run: keep }]);
</script>

<template>
  <StepForm v-if="line" class="stands" @send="keep">
    <LineDrawing :line="line" :tag="job.planned?.valve.tag ?? ''" />
    <div class="sides">
      <fieldset v-for="side in SIDES" :key="side">
        <legend class="visually-hidden">{{ side }}</legend>
        <v-select
          :model-value="line[side].shutBy"
          :label="`Shut ${side} by`"
          :items="shutItems"
          @update:model-value="(shutBy: ShutBy) => line && (line[side].shutBy = shutBy)"
        />
        <label class="tick label"
          ><input v-model="line[side].vent" type="checkbox" /> A vent or drain {{ side }}</label
        >
      </fieldset>
    </div>
    <div class="fields">
      <v-select v-model="line.signal" label="Signal" :items="signals" />
      <QuantityField v-model="trapped" label="Volume shut in" dimension="volume" example="12 L" optional />
      <template v-if="sprung">
        <QuantityField
          v-model="area"
          label="Area of the actuator"
          dimension="area"
          example="69 in²"
          optional
        />
        <QuantityField v-model="travel" label="Travel" dimension="length" example="3/4 in" optional />
      </template>
      <label v-for="[key, words] in TICKS" :key="key" class="tick label"
        ><input v-model="line[key]" type="checkbox" /> {{ words }}</label
      >
    </div>
    <p v-for="each in wrong" :key="each" class="problem" role="alert">{{ each }}</p>
    <StepBar>
      <BenchButton
        lamp
        hint="enter"
        :disabled="wrong.length > 0"
        lacking="the line cannot stand so"
        @press="keep"
        >This is the line</BenchButton
      >
    </StepBar>
  </StepForm>
</template>

<style scoped>
.stands {
  display: grid;
  gap: 10px;
  justify-items: start;
}
.fields,
.sides {
  width: 100%;
}
.sides {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(230px, 1fr));
  gap: 12px;
}
fieldset {
  border: 0;
  padding: 0;
  min-width: 0;
}
.tick {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: var(--touch);
}
input[type='checkbox'] {
  width: 22px;
  height: 22px;
  accent-color: var(--blue);
}
</style>
