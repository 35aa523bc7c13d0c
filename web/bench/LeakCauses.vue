<script setup lang="ts">
import type { PlannedStep } from '@dusk-wren/core/plan';
import { leakCauses, StepFacts, untracedLeak, type TaskOf } from '@dusk-wren/core/task';
import { computed } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import { useJob } from '../stores/job';

/** What a leak may come from, the cheapest to look at first; once it is kept, where it was found says what is opened. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'pressure-test'> }>();
const job = useJob();
const causes = computed(() => (job.planned ? leakCauses(props.task, job.planned.valve.features) : []));
const isKept = computed(
  () =>
    job.state !== undefined &&
    untracedLeak(props.task, new StepFacts(job.state, props.step.id, false)) !== undefined,
);
</script>

<template>
  <section class="causes" aria-label="What it may come from">
    <h3>What it may come from, the cheapest first</h3>
    <ol>
      <li v-for="{ source, cause, look } in causes" :key="cause">
        <p>
          <b>{{ cause }}:</b> {{ look }}
        </p>
        <BenchButton
          v-if="isKept && source"
          @press="job.act({ kind: 'trace-leak', body: { step: step.id, to: source } })"
          >It was this</BenchButton
        >
      </li>
    </ol>
  </section>
</template>

<style scoped>
.causes {
  padding: 8px 12px;
  border: 1px solid var(--hazard);
  border-radius: var(--radius);
}
ol {
  padding: 0;
  margin: 4px 0 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 4px 12px;
  align-items: center;
  padding: 5px 0;
}
li + li {
  border-top: 1px solid var(--line);
}
@media (max-width: 700px) {
  li {
    grid-template-columns: 1fr;
    justify-items: start;
  }
}
</style>
