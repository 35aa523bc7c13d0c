<script setup lang="ts">
import type { PlannedStep } from '@dusk-wren/core/plan';
import type { TaskOf } from '@dusk-wren/core/task';
import type { Quantity } from '@dusk-wren/core/quantity';
import { computed, ref } from 'vue';
import BenchButton from '../../parts/BenchButton.vue';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import QuantityField from '../../parts/QuantityField.vue';
import { useJob } from '../../stores/job';
import { useDraft } from '../../stores/drafts';
import StepBar from '../StepBar.vue';
import StepForm from '../StepForm.vue';

/** Something unknown about the valve, asked for. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'ask'> }>();
const job = useJob();
const text = useDraft('answer');
const choice = ref<string | number>();
const quantity = ref<Quantity>();
const input = computed(() => props.task.ask.input);
const value = computed(() => {
  switch (input.value.kind) {
    case 'choice':
      return choice.value;
    case 'quantity':
      return quantity.value;
    case 'whole number':
      return text.value.trim() === '' ? undefined : Number(text.value);
    case 'text':
      return text.value.trim() || undefined;
  }
});
function answer(): void {
  if (value.value !== undefined)
    job.act({ kind: 'identify-valve', body: { details: { [props.task.ask.id]: value.value } } });
}
</script>

<template>
  <StepForm @send="answer">
    <ChoiceRow
      v-if="input.kind === 'choice'"
      label="Answer"
      :options="input.choices"
      :picked="choice"
      @pick="choice = $event"
    />
    <QuantityField
      v-else-if="input.kind === 'quantity'"
      v-model="quantity"
      label="Answer"
      :dimension="input.dimension"
      :example="input.example"
    />
    <v-text-field
      v-else
      v-model="text"
      label="Answer"
      :inputmode="input.kind === 'whole number' ? 'numeric' : 'text'"
      :placeholder="input.kind === 'text' ? `such as ${input.example}` : ''"
    />
    <StepBar>
      <BenchButton lamp :disabled="value === undefined" lacking="answer it first" @press="answer"
        >Keep the answer</BenchButton
      >
    </StepBar>
  </StepForm>
</template>
