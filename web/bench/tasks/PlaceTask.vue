<script setup lang="ts">
import {
  CAUSES,
  checkOf,
  findFault,
  chainOf,
  SYMPTOMS,
  type CheckId,
  type SymptomId,
} from '@dusk-wren/core/diagnosis';
import { moverOf } from '@dusk-wren/core/valve';
import { evidenceOn } from '@dusk-wren/core/job';
import type { PlannedStep } from '@dusk-wren/core/plan';
import type { TaskOf } from '@dusk-wren/core/task';
import { formatPercent, psig } from '@dusk-wren/core/quantity';
import { computed, ref } from 'vue';
import { useKeys } from '../../keys/keys';
import BenchButton from '../../parts/BenchButton.vue';
import { useFaultCounts } from '../../stores/fault-counts';
import { useJob } from '../../stores/job';
import StepBar from '../StepBar.vue';
import { usePreferences } from '../../stores/preferences';
import InstrumentPick from '../InstrumentPick.vue';
import SuspectTable from './SuspectTable.vue';
import { useReadings } from '../use-readings';

/** The fault finder: the symptom, the next check with its reason, and what each answer did to each cause. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'place'> }>();
const job = useJob();
const { show } = usePreferences();
const begun = computed(() => job.state?.records['evidence-taken'].at(-1)?.body.symptom);
const chosen = ref<SymptomId>();
const symptom = computed(
  () =>
    chosen.value ?? begun.value ?? (props.task.symptoms.length === 1 ? props.task.symptoms[0] : undefined),
);
const counts = useFaultCounts(symptom);
const evidence = computed(() => (job.state && symptom.value ? evidenceOn(job.state, symptom.value) : []));
const found = computed(() =>
  job.planned && symptom.value && counts.value
    ? findFault({
        symptom: symptom.value,
        features: job.planned.valve.features,
        evidence: evidence.value,
        counts: counts.value,
      })
    : undefined,
);
const asked = ref<CheckId>();
const others = computed(() => found.value?.others ?? []);
const current = computed(() => {
  const picked = asked.value;
  const { next } = found.value ?? {};
  if (picked !== undefined && others.value.some(({ check }) => check === picked)) return picked;
  return next?.check;
});
const reason = computed(
  () => [found.value?.next, ...others.value].find((each) => each?.check === current.value)?.reason ?? '',
);
const figures = ref('');
const { instrument, choices, picked, running, trouble, start, stop } = useReadings(
  'gauge set',
  () => ({ step: props.step.id, check: current.value ?? '' }),
  (reading) => {
    if (reading.kind !== 'check') return;
    figures.value = `at full signal: supply ${show(psig(reading.supplyPsig))}, actuator ${show(psig(reading.actuatorPsig))}, ${formatPercent(reading.strokePercent / 100)} of its stroke`;
    // What is proposed may be another check by now, where somebody else has answered: this one was read.
    answer(reading.check, reading.result, 'instrument');
    stop();
  },
);
/** Only what air moves has gauges to read; of any other the answer is seen, heard or felt. */
const readable = computed(
  () =>
    current.value !== undefined &&
    checkOf(current.value).read !== undefined &&
    job.planned !== undefined &&
    moverOf(job.planned.valve.features).byAir === true,
);

function answer(check: CheckId, result: number, by: 'hand' | 'instrument'): void {
  if (!symptom.value) return;
  const readBy = by === 'instrument' && instrument.value ? instrument.value.id : 'hand';
  job.act({
    kind: 'take-evidence',
    body: { symptom: symptom.value, check, result, readBy },
  });
  asked.value = undefined;
}
function place(): void {
  const cause = found.value?.suspects[0]?.cause;
  if (!cause || !symptom.value) return;
  job.act({ kind: 'place-fault', body: { step: props.step.id, symptom: symptom.value, cause } });
}
const none = () => job.act({ kind: 'do-step', body: { step: props.step.id, notNeeded: true } });
const links = computed(() =>
  (job.planned ? chainOf(job.planned.valve.features) : []).map((link) => ({
    link,
    chance: (found.value?.suspects ?? [])
      .filter(({ cause }) => CAUSES[cause].link === link)
      .reduce((sum, each) => sum + each.chance, 0),
  })),
);
useKeys([
  { key: 'g', label: 'Read the gauges', run: start, when: () => readable.value && !running.value },
  { key: 'x', label: 'No fault to find', run: none },
]);
</script>

<template>
  <div class="place">
    <div class="symptoms" role="group" aria-label="What it does">
      <button
        v-for="each in task.symptoms"
        :key="each"
        type="button"
        class="label"
        :aria-pressed="symptom === each"
        @click="chosen = each"
      >
        {{ SYMPTOMS[each].name }}
      </button>
      <BenchButton hint="x" @press="none">No fault: routine</BenchButton>
    </div>
    <template v-if="found">
      <ol class="chain label" aria-label="The chain, and how likely the fault lies in each link">
        <li v-for="each in links" :key="each.link" :class="{ out: each.chance < 0.02 }">
          {{ each.link }} <b class="number">{{ formatPercent(each.chance) }}</b>
        </li>
      </ol>
      <section v-if="current" class="check">
        <h3>{{ checkOf(current).title }}</h3>
        <p>
          <b class="label why">{{ reason }}</b> · {{ checkOf(current).minutes }} min.
          {{ checkOf(current).how }}
        </p>
        <div class="answers">
          <BenchButton
            v-for="(words, i) in checkOf(current).results"
            :key="words"
            @press="answer(current, i, 'hand')"
            >{{ words }}</BenchButton
          >
          <template v-if="readable && instrument">
            <BenchButton lamp hint="g" :disabled="running" @press="start">Read the gauges</BenchButton>
            <InstrumentPick v-model="picked" :choices="choices" :instrument="instrument" :trouble="trouble" />
          </template>
        </div>
      </section>
      <p v-if="figures" class="number shown" aria-live="polite">{{ figures }}</p>
      <section v-if="found.placed" class="check" aria-live="polite">
        <h3>Placed: {{ CAUSES[found.suspects[0]?.cause ?? 'debris'].name }}</h3>
        <p>{{ CAUSES[found.suspects[0]?.cause ?? 'debris'].then }}</p>
      </section>
      <SuspectTable :suspects="found.suspects" :evidence="evidence" :counts="counts ?? {}" />
      <ul v-if="evidence.length > 0" class="label muted">
        <li v-for="each in evidence" :key="each.check">
          {{ checkOf(each.check).title }}: <b>{{ checkOf(each.check).results[each.result] }}</b>
        </li>
      </ul>
      <StepBar>
        <BenchButton :lamp="found.placed" @press="place"
          >The fault is: {{ CAUSES[found.suspects[0]?.cause ?? 'debris'].name }}</BenchButton
        >
      </StepBar>
      <div class="answers">
        <label v-if="others.length > 0" class="label other"
          >Another check
          <select v-model="asked">
            <option :value="undefined">the one proposed</option>
            <option v-for="each in others" :key="each.check" :value="each.check">
              {{ checkOf(each.check).title }} ({{ checkOf(each.check).minutes }} min)
            </option>
          </select></label
        >
      </div>
    </template>
    <p v-else-if="symptom" class="muted">What was behind it before is looked up.</p>
    <p v-else class="muted">What does it do? The finder then asks the cheapest question that tells most.</p>
  </div>
</template>

<style scoped>
.place {
  display: grid;
  gap: 12px;
  grid-template-columns: minmax(0, 1fr);
}
.symptoms,
.answers {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
.symptoms > button.label {
  min-height: var(--touch);
  padding: 0 14px;
  font-size: 16px;
  color: var(--ink);
  background: none;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  cursor: pointer;
}
.symptoms > button[aria-pressed='true'] {
  border-color: var(--blue);
  box-shadow: inset 0 -4px 0 var(--blue);
}
.chain {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 0;
}
.chain li {
  padding: 2px 10px;
  border-left: 3px solid var(--blue);
}
.chain .out {
  color: var(--muted);
  border-left-color: var(--line);
  text-decoration: line-through;
}
.check {
  display: grid;
  gap: 8px;
  padding: 10px 14px;
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: var(--radius);
}
h3 {
  font-size: 19px;
}
.why {
  color: var(--blue);
}
.shown {
  color: var(--blue);
  font-size: 18px;
}
.other select {
  min-height: var(--touch);
  max-width: 280px;
  padding: 0 8px;
  color: var(--ink);
  background: var(--ground);
  border: 1px solid var(--line);
  border-radius: var(--radius);
}
</style>
