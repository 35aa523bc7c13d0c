<script setup lang="ts">
import { fitOrNot } from '@dusk-wren/core/drill';
import { USUAL_RULES, VERDICTS, type Finding, type Verdict } from '@dusk-wren/core/inspection';
import { capital, phrase, type Phrase } from '@dusk-wren/core/quantity';
import { computed, ref } from 'vue';
import DamageSketch from '../../drawings/damage/DamageSketch.vue';
import BenchButton from '../../parts/BenchButton.vue';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import ContactRing from '../../parts/ContactRing.vue';
import { usePreferences } from '../../stores/preferences';
import { useBench } from '../sitting';

/** A part with something on it, the shop's limits and what things cost: the call, and what it comes to. */
const { exercise, over, play } = useBench(fitOrNot);
const { show, tell } = usePreferences();
const { prices } = exercise;
const days = (count: number) => (count === 1 ? '1 day' : `${count} days`);
const COSTS: readonly (readonly [string, string])[] = [
  ['Rework takes', `${prices.hours} h`],
  ['An hour costs', String(prices.rate)],
  ['Consumables', String(prices.consumables)],
  ['Wait for the machine', days(prices.waitDays)],
  ['A new part costs', String(prices.price)],
  ['It takes to come', days(prices.leadDays)],
  ['Fitting it takes', `${prices.fittingHours} h`],
  ['Days to spare', days(prices.spareDays)],
  ['A day late costs', String(prices.delayCost)],
];
const LIMITS = [
  ['Seats are ground in to', USUAL_RULES.grindInTo],
  ['Refaced to', USUAL_RULES.refaceTo],
  ['On the lathe to, of unknown stock', USUAL_RULES.latheTo],
  ['Joint faces are lapped to', USUAL_RULES.lapJointFaceTo],
  ['Turned to', USUAL_RULES.turnJointFaceTo],
] as const;
const words = computed((): Phrase => wordsOf(exercise.finding));
function wordsOf(finding: Finding): Phrase {
  if ('depth' in finding) return phrase`${finding.kind}, ${finding.form}, ${finding.depth} deep`;
  if ('zone' in finding) return `${finding.kind}, ${finding.zone}`;
  return 'form' in finding ? `${finding.kind}: ${finding.form}` : finding.kind;
}
const verdict = ref<Verdict>();
const cost = ref<number>();
const isFree = computed(() => verdict.value !== undefined && !['rework', 'renew'].includes(verdict.value));
const calls = VERDICTS.map((value) => ({ value, label: capital(value) }));
const lacking = computed(() =>
  !verdict.value ? 'the call' : !isFree.value && !(Number(cost.value) >= 0) ? 'what it costs' : '',
);
function tellCall(): void {
  if (verdict.value && lacking.value === '')
    play({ verdict: verdict.value, cost: isFree.value ? 0 : Number(cost.value) });
}
</script>

<template>
  <div class="judging">
    <p class="found">
      <DamageSketch :finding="exercise.finding" />
      <span
        ><b>{{ capital(exercise.part) }}</b
        >: {{ tell(words) }}</span
      >
    </p>
    <section aria-labelledby="limits-of-shop">
      <h2 id="limits-of-shop">The shop’s limits</h2>
      <ul class="figures">
        <li v-for="[what, limit] in LIMITS" :key="what">
          <span>{{ what }}</span><b class="number">{{ show(limit) }}</b>
        </li>
      </ul>
    </section>
    <section aria-labelledby="what-it-costs">
      <h2 id="what-it-costs">What it costs</h2>
      <ul class="figures">
        <li v-for="[what, figure] in COSTS" :key="what">
          <span>{{ what }}</span><b class="number">{{ figure }}</b>
        </li>
      </ul>
    </section>
    <div class="call">
      <ChoiceRow label="The call" :options="calls" :picked="verdict" @pick="verdict = $event">
        <template #default="{ option }"><ContactRing :verdict="option.value" /> {{ option.label }}</template>
      </ChoiceRow>
      <v-text-field
        v-if="!isFree"
        v-model.number="cost"
        label="What it comes to"
        type="number"
        min="0"
        inputmode="decimal"
      />
      <BenchButton lamp :disabled="over || lacking !== ''" :lacking="lacking" @press="tellCall"
        >That is my call</BenchButton
      >
    </div>
  </div>
</template>

<style scoped>
.judging {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 420px));
  gap: 16px 32px;
}
.found,
.call {
  grid-column: 1 / -1;
}
.found {
  display: flex;
  gap: 14px;
  align-items: center;
  font-size: 21px;
}
.figures li {
  display: flex;
  justify-content: space-between;
  gap: 14px;
  padding: 5px 0;
  border-top: 1px solid var(--line);
}
.call {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 16px;
  align-items: start;
}
.call > .v-text-field {
  flex: 0 1 200px;
}
@media (max-width: 760px) {
  .judging {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
