<script setup lang="ts">
import type { RawCommand } from '@dusk-wren/core/command';
import { callOnFinding, type Finding } from '@dusk-wren/core/inspection';
import { siteOf } from '@dusk-wren/core/calls';
import type { PlannedStep } from '@dusk-wren/core/plan';
import type { LookChoice, TaskOf } from '@dusk-wren/core/task';
import { ofDimension, type Quantity } from '@dusk-wren/core/quantity';
import { computed, ref } from 'vue';
import DamageSketch from '../../drawings/damage/DamageSketch.vue';
import { useKeys } from '../../keys/keys';
import BenchButton from '../../parts/BenchButton.vue';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import QuantityField from '../../parts/QuantityField.vue';
import { useLanding } from '../../stores/gauge-lines';
import { useJob } from '../../stores/job';
import { useDraft } from '../../stores/drafts';
import StepBar from '../StepBar.vue';
import CallWords from '../CallWords.vue';

/** A look at one part: what is seen is picked, a depth is typed, and the call stands beside it before it is made. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'look'> }>();
const job = useJob();
const picked = ref<number>();
const depth = ref<Quantity<'length'>>();
const words = useDraft('words');

const choice = computed(() => (picked.value === undefined ? undefined : props.task.choices[picked.value]));
const finding = computed(() => choice.value && found(choice.value));
const call = computed(() => {
  const { state, planned } = job;
  if (!finding.value || !state || !planned) return undefined;
  return callOnFinding({ valve: planned.valve, site: siteOf(state), part: props.task.part }, finding.value);
});

function found({ finding: seen, asksDepth }: LookChoice): Finding | undefined {
  if (seen.kind === 'unsure') return { ...seen, what: words.value.trim() || seen.what };
  if (!asksDepth) return seen;
  return depth.value && 'depth' in seen ? { ...seen, depth: depth.value } : undefined;
}

/** A gauge that types tells how deep it is, over whatever was typed by hand; it stands in its field to be looked at. */
useLanding(({ value }) => {
  const read = ofDimension(value, 'length');
  if (!read || !choice.value?.asksDepth) return undefined;
  depth.value = { ...read, entered: `${read.value} ${read.unit}` };
  return 'stands as how deep it is';
});

/** Pressed, a sound part is done with: it can be taken back. Whatever is wrong with one is looked at before it is called. */
function press(i: number): void {
  picked.value = i;
  if (choice.value?.finding.kind === 'sound') make();
}
function make(): void {
  if (!finding.value) return;
  const command: RawCommand = { kind: 'make-finding', body: { step: props.step.id, finding: finding.value } };
  if (job.act(command)) picked.value = undefined;
}
useKeys([
  ...props.task.choices
    .slice(0, 9)
    .map((each, i) => ({ key: String(i + 1), label: each.label, run: () => (picked.value = i) })),
  { key: 'enter', label: 'Take the call', run: make, when: () => finding.value !== undefined },
]);
</script>

<template>
  <div class="look">
    <ChoiceRow
      v-slot="{ index }"
      :label="`What is seen on the ${task.part}`"
      :options="task.choices.map(({ label }, value) => ({ label, value }))"
      :picked="picked"
      @pick="press"
    >
      <kbd aria-hidden="true">{{ index + 1 }}</kbd>
      <DamageSketch v-if="task.choices[index]" :finding="task.choices[index].finding" />
      {{ task.choices[index]?.label }}
    </ChoiceRow>
    <QuantityField
      v-if="choice?.asksDepth"
      :key="String(picked)"
      v-model="depth"
      label="How deep"
      dimension="length"
      example="2 thou"
      autofocus
      @enter="make"
    />
    <v-text-field
      v-if="choice?.finding.kind === 'unsure'"
      v-model="words"
      label="What is there to decide?"
      maxlength="300"
    />
    <CallWords v-if="call" :call="call" />
    <StepBar>
      <BenchButton
        lamp
        hint="enter"
        :disabled="!finding"
        :lacking="choice ? 'how deep?' : 'choose what is seen'"
        @press="make"
        >Take the call</BenchButton
      >
    </StepBar>
  </div>
</template>

<style scoped>
.look {
  display: grid;
  gap: 12px;
  justify-items: start;
}
.look > :is(:deep(.v-input), .quantity-field) {
  width: min(360px, 100%);
}
@media (max-width: 700px), (pointer: coarse) {
  kbd {
    display: none;
  }
}
kbd {
  font: inherit;
  font-size: 14px;
  color: var(--muted);
}
</style>
