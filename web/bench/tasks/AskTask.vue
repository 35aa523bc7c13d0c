<script setup lang="ts">
import type { PlannedStep } from '@dusk-wren/core/plan';
import type { TaskOf } from '@dusk-wren/core/task';
import type { Quantity } from '@dusk-wren/core/quantity';
import { computed, ref } from 'vue';
import BenchButton from '../../parts/BenchButton.vue';
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
    <div v-if="input.kind === 'choice'" class="choices" role="radiogroup" aria-label="Answer">
      <button
        v-for="each in input.choices"
        :key="each.value"
        type="button"
        role="radio"
        class="choice label"
        :aria-checked="choice === each.value"
        @click="choice = each.value"
      >
        {{ each.label }}
      </button>
    </div>
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

<style scoped>
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.choice {
  min-height: var(--touch);
  min-width: 64px;
  padding: 0 16px;
  font-size: 17px;
  font-weight: 600;
  color: var(--ink);
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: var(--radius);
  cursor: pointer;
}
.choice[aria-checked='true'] {
  border-color: var(--blue);
  box-shadow: inset 0 0 0 2px var(--blue);
}
</style>
