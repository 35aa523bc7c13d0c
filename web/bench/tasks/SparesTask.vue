<script setup lang="ts">
import { kitsView } from '@dusk-wren/contract/stock';
import { NOMINAL_SIZES, PRESSURE_CLASSES } from '@dusk-wren/core/standards';
import { kitsOnFile, wrongKits } from '@dusk-wren/core/stock';
import {
  CONSTRUCTION_IDS,
  CONSTRUCTIONS,
  matchSpares,
  mismatches,
  SPARE_KINDS,
  type LaidSpare,
} from '@dusk-wren/core/valve';
import type { TaskOf } from '@dusk-wren/core/task';
import type { PlannedStep } from '@dusk-wren/core/plan';
import { useQuery } from '@pinia/colada';
import { computed, ref } from 'vue';
import { call } from '../../api/client';
import { useKeys } from '../../keys/keys';
import BenchButton from '../../parts/BenchButton.vue';
import ContactRing from '../../parts/ContactRing.vue';
import { useJob } from '../../stores/job';
import { useLeftPanel } from '../left-panel';
import StepBar from '../StepBar.vue';
import StepForm from '../StepForm.vue';

/** What is printed on kit, insert and papers, held against the plate before the valve leaves its line. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'spares'> }>();
const job = useJob();
const kept = job.state?.records['spares-matched'].at(-1)?.body.laid;
const laid = ref<LaidSpare[]>(kept ? [...kept] : [{ what: 'kit' }]);
const lines = computed(() => (job.planned ? matchSpares(job.planned.valve, laid.value) : []));
const { data: store } = useQuery({ key: () => ['kits'], query: () => call('/store/kits', kitsView) });
const sheets = computed(() => store.value?.kits ?? []);
const onFile = computed(() => (job.planned ? kitsOnFile(sheets.value, job.planned.valve) : []));
const wrong = computed(() => (job.planned ? wrongKits(sheets.value, job.planned.valve, laid.value) : []));
const stops = computed(() => [...mismatches(lines.value), ...wrong.value]);
const RINGS = { agrees: 'fit', mismatch: 'condemn', 'not on the plate': 'ask' } as const;

function set(i: number, field: keyof LaidSpare, value: unknown): void {
  laid.value = laid.value.map((spare, at) => {
    if (at !== i) return spare;
    const { [field]: _before, ...rest } = spare;
    const given = value === null || value === '' ? {} : { [field]: value };
    return { what: spare.what, ...rest, ...given };
  });
}
/** Something that is printed on one of them was typed: only then was anything compared. */
const compared = computed(() =>
  laid.value.some(({ what: _what, ...printed }) => Object.keys(printed).length > 0),
);
const countBag = useLeftPanel();
const counted = computed(() => job.state?.records['kit-checked'].at(-1));
const keep = () =>
  compared.value &&
  wrong.value.length === 0 &&
  job.act({ kind: 'match-spares', body: { step: props.step.id, laid: laid.value } });
useKeys([{ key: 'enter', label: 'Laid out, compared', run: keep }]);
</script>

<template>
  <StepForm class="spares" @send="keep">
    <p class="muted">Type what is printed on each; leave empty what it does not say.</p>
    <p v-if="onFile.length > 0" class="label">
      On file for this valve:
      <template v-for="({ sheet, kit }, i) in onFile" :key="sheet"
        ><template v-if="i > 0">, </template>kit <b>{{ kit }}</b> of sheet {{ sheet }}</template
      >
      <template v-if="counted"
        >; bag {{ counted.body.kit }} counted by {{ counted.by.name }} against sheet
        {{ counted.body.sheet }}</template
      >
    </p>
    <fieldset v-for="(spare, i) in laid" :key="i">
      <legend class="visually-hidden">{{ spare.what }}</legend>
      <v-select
        :model-value="spare.what"
        label="What it is"
        :items="[...SPARE_KINDS]"
        @update:model-value="set(i, 'what', $event)"
      />
      <v-select
        :model-value="spare.construction ?? null"
        label="Construction"
        clearable
        :items="CONSTRUCTION_IDS.map((value) => ({ value, title: CONSTRUCTIONS[value].name }))"
        @update:model-value="set(i, 'construction', $event)"
      />
      <v-select
        :model-value="spare.nps ?? null"
        label="Size"
        clearable
        :items="NOMINAL_SIZES.map(([nps]) => ({ value: nps, title: `NPS ${nps}` }))"
        @update:model-value="set(i, 'nps', $event)"
      />
      <v-select
        :model-value="spare.pressureClass ?? null"
        label="Class"
        clearable
        :items="[...PRESSURE_CLASSES]"
        @update:model-value="set(i, 'pressureClass', $event)"
      />
      <v-text-field
        :model-value="spare.model ?? ''"
        label="Model"
        autocomplete="off"
        maxlength="60"
        @update:model-value="set(i, 'model', $event)"
      />
      <v-text-field
        :model-value="spare.code ?? ''"
        label="Order code"
        autocomplete="off"
        maxlength="40"
        @update:model-value="set(i, 'code', $event)"
      />
    </fieldset>
    <ul class="label" aria-live="polite">
      <li v-for="each in lines" :key="each.what + each.field" :class="RINGS[each.verdict]">
        <ContactRing :verdict="RINGS[each.verdict]" :size="20" />
        <span
          >{{ each.what }}, {{ each.field }}: <b>{{ each.printed }}</b>, plate {{ each.plate }}:
          {{ each.verdict }}</span
        >
      </li>
    </ul>
    <p v-if="stops.length > 0" class="problem" role="alert">
      Stop: {{ stops.join('; ') }}. Nothing leaves its line with the wrong spares on the bench.
    </p>
    <span class="buttons">
      <BenchButton @press="laid = [...laid, { what: 'torque sheet' }]">Another thing laid out</BenchButton>
      <BenchButton v-if="laid.length > 1" @press="laid = laid.slice(0, -1)">One less</BenchButton>
    </span>
    <StepBar
      ><BenchButton
        lamp
        hint="enter"
        :disabled="!compared || wrong.length > 0"
        :lacking="wrong.length > 0 ? 'the wrong kit' : 'type what is printed on one of them'"
        @press="keep"
        >Laid out, compared</BenchButton
      ><BenchButton v-if="onFile.length > 0" @press="countBag('kit')">{{
        counted ? 'Count it again' : 'Count the bag'
      }}</BenchButton></StepBar
    >
  </StepForm>
</template>

<style scoped>
.spares {
  display: grid;
  gap: 10px;
}
fieldset {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 8px;
  border: 0;
  border-top: 1px solid var(--line);
  padding: 8px 0 0;
}
li {
  display: flex;
  gap: 8px;
  align-items: center;
}
li span {
  color: var(--ink);
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
