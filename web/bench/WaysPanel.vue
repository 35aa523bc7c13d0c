<script setup lang="ts">
import { QUESTIONS, SCHOOLS, wayChosenSchema, type Question } from '@dusk-wren/core/inspection';
import { siteOf } from '@dusk-wren/core/calls';
import { computed } from 'vue';
import { useJob } from '../stores/job';
import PlaceForm from './PlaceForm.vue';
import ScopeForm from './ScopeForm.vue';

/** Where practitioners disagree: the site's way, and another one for this job, each with what it gives up. */
const job = useJob();
const site = computed(() => job.state && siteOf(job.state));
const own = (question: Question) =>
  job.state?.records['way-chosen'].findLast(({ body }) => body.way.question === question);
function choose(question: Question, choice: string): void {
  const way = wayChosenSchema.safeParse({ question, choice });
  if (way.success) job.act({ kind: 'choose-way', body: { way: way.data } });
}
</script>

<template>
  <div v-if="site" class="ways">
    <ScopeForm />
    <PlaceForm />
    <p class="muted">
      Both ways are good practice somewhere. {{ site.name }} goes by what is marked; another can be taken for
      this job, and the plan follows.
    </p>
    <fieldset v-for="question in QUESTIONS" :key="question">
      <legend class="label">
        <b>{{ SCHOOLS[question].question }}</b>
        <span v-if="own(question)" class="muted"> · for this job, by {{ own(question)?.by.name }}</span>
      </legend>
      <label v-for="(trade, choice) in SCHOOLS[question].choices" :key="choice">
        <input
          type="radio"
          :name="question"
          :value="choice"
          :checked="site.schools[question] === choice"
          :disabled="job.summary?.state !== 'open'"
          @change="choose(question, choice)"
        />
        <span
          ><b class="label">{{ choice }}</b> {{ trade }}</span
        >
      </label>
    </fieldset>
  </div>
</template>

<style scoped>
.ways {
  display: grid;
  gap: 12px;
  align-content: start;
}
fieldset {
  margin: 0;
  padding: 8px 0 0;
  border: 0;
  border-top: 1px solid var(--line);
  display: grid;
  gap: 4px;
}
label {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: var(--touch);
}
input {
  flex: none;
  width: 20px;
  height: 20px;
  accent-color: var(--blue);
}
</style>
