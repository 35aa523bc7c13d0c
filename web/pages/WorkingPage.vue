<script setup lang="ts">
import { wordProblem } from '@dusk-wren/contract/wording';
import { findWorking, onDay } from '@dusk-wren/core/workings';
import { useClipboard } from '@vueuse/core';
import { computed, reactive, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import BenchButton from '../parts/BenchButton.vue';
import ContactRing from '../parts/ContactRing.vue';
import WorkingPaper from '../parts/WorkingPaper.vue';
import AnswerFigures from '../workings/AnswerFigures.vue';
import AttachToJob from '../workings/AttachToJob.vue';
import AlternativesEntry from '../workings/entries/AlternativesEntry.vue';
import FillFromJob from '../workings/FillFromJob.vue';
import { exampleFor, fieldsFor, formParts, missingFrom, rawFrom, type Typed } from '../workings/given';
import { useOpenedFromJob } from '../workings/opened-from-job';
import { useRecentWorkings } from '../workings/recent';
import WaysBack from '../workings/WaysBack.vue';
import { asText, givenLines, problemsByField, refusalWords } from '../workings/words';
import WorkingEntry from '../workings/WorkingEntry.vue';
import WorkingPicture from '../workings/WorkingPicture.vue';

/** One working, usable alone: the answer follows the typing, and the address keeps what was typed. */
const props = defineProps<{ id: string }>();
const route = useRoute();
const router = useRouter();
const recent = useRecentWorkings();
const clipboard = useClipboard({ legacy: true });

const found = computed(() => findWorking(props.id));
const working = computed(() => (found.value.ok ? found.value.value : undefined));
const fields = computed(() => working.value?.fields ?? []);
const typed = reactive<Typed>({});
const { job: fromJob, ...query } = route.query;
for (const [name, value] of Object.entries(query)) if (typeof value === 'string') typed[name] = value;
/** Opened from a job, it is filled from that job and kept with it; what came with the address is filled in already. */
const { from, said, isOpening } = useOpenedFromJob(
  () => working.value,
  (figures) => {
    for (const [name, text] of Object.entries(figures)) typed[name] ??= text;
    hasFilled.value = Object.keys(figures).length > 0 || Object.keys(query).length === 0;
  },
);
const hasFilled = ref(true);
watch(
  typed,
  (now) =>
    void router.replace({
      query: {
        ...Object.fromEntries(Object.entries(now).filter(([, value]) => value !== '')),
        ...(fromJob === undefined ? {} : { job: fromJob }),
      },
    }),
);

const raw = computed(() => rawFrom(fields.value, typed));
const isEmpty = computed(() => Object.keys(raw.value).length === 0);
/** Before anything is typed an example stands there, worked and drawn. */
const example = computed(() => exampleFor(fields.value));
const isExample = computed(() => isEmpty.value && missingFrom(fields.value, example.value).length === 0);
const given = computed(() => (isExample.value ? rawFrom(fields.value, example.value) : raw.value));
const missing = computed(() => (isExample.value ? [] : missingFrom(fields.value, typed)));
const today = () => new Date().toISOString().slice(0, 10);
const answer = computed(() =>
  working.value && missing.value.length === 0
    ? working.value.run(onDay(working.value, given.value, today()))
    : undefined,
);
const problems = computed(() =>
  working.value && answer.value?.problem ? problemsByField(answer.value.problem, working.value) : {},
);
/** Said at every field that it is about, it is not said a second time. */
const isAtFields = computed(() => {
  const problem = answer.value?.problem;
  return (
    problem?.code === 'input.invalid' &&
    problem.issues.every(({ path }) => problems.value[path.split('.')[0] ?? ''] !== undefined)
  );
});
const worked = computed(() => (answer.value?.ok ? answer.value.value : undefined));
watch(worked, (now) => now && !isExample.value && recent.used(props.id), { immediate: true });

const showExample = () => Object.assign(typed, example.value);
const clear = () => fields.value.forEach(({ name }) => (typed[name] = ''));
const copy = () =>
  working.value && worked.value && clipboard.copy(asText(working.value, typed, worked.value, location.href));
const print = () => window.print();
const command = () => ({
  kind: 'attach-working' as const,
  body: { working: props.id, given: JSON.parse(JSON.stringify(raw.value)) },
});
</script>

<template>
  <div v-if="working" class="page working-page">
    <WaysBack :from="from" />
    <header>
      <h1>{{ working.title }}</h1>
      <p>{{ working.meaning }}</p>
    </header>
    <div class="halves">
      <form class="given row-flat no-print" @submit.prevent>
        <template v-for="part in formParts(fieldsFor(fields, typed))">
          <WorkingEntry
            v-if="'field' in part"
            :key="part.field.name"
            :field="part.field"
            :problem="problems[part.field.name]"
            :model-value="typed[part.field.name] ?? ''"
            @update:model-value="typed[part.field.name] = $event ?? ''"
          />
          <AlternativesEntry
            v-else
            :key="part.choice.of"
            :choice="part.choice"
            :typed="typed"
            :problems="problems"
            @type="(name, text) => (typed[name] = text)"
          />
        </template>
        <div class="label ways">
          <button v-if="isEmpty" type="button" class="link-button" @click="showExample">
            Fill in an example
          </button>
          <button v-else type="button" class="link-button" @click="clear">Clear</button>
          <span v-if="said && hasFilled" class="muted" role="status">{{ said }}</span>
          <FillFromJob v-if="!from" :working="working" @fill="(figures) => Object.assign(typed, figures)" />
        </div>
      </form>
      <dl class="paper-only">
        <template v-for="entry in givenLines(working, typed)" :key="entry.label">
          <dt>{{ entry.label }}</dt>
          <dd>{{ entry.value }}</dd>
        </template>
      </dl>
      <section class="answer row-flat" aria-live="polite" aria-label="Answer">
        <p v-if="isExample" class="label muted">An example, until something is typed:</p>
        <template v-if="worked">
          <div class="shown">
            <AnswerFigures :working="working" :result="worked.result" />
            <WorkingPicture :id="id" :raw="given" />
          </div>
          <WorkingPaper :steps="worked.steps" :notes="worked.notes" :source="worked.source" told />
          <div v-if="!isExample" class="buttons no-print">
            <BenchButton @press="copy">{{ clipboard.copied.value ? 'Copied' : 'Copy' }}</BenchButton>
            <BenchButton @press="print">Print</BenchButton>
            <AttachToJob v-if="!isOpening" :command="command" :from="from" />
          </div>
        </template>
        <p v-else-if="answer?.problem" class="problem" role="alert">
          <ContactRing verdict="ask" />
          {{ isAtFields ? 'As marked where it was typed.' : refusalWords(answer.problem, working) }}
        </p>
        <p v-else class="muted">Still wanted: {{ missing.join(', ') }}.</p>
      </section>
    </div>
  </div>
  <p v-else-if="found.problem" class="page problem">
    {{ wordProblem(found.problem) }} <router-link to="/workings">All workings</router-link>
  </p>
</template>

<style scoped>
.working-page {
  display: grid;
  gap: 8px;
}
.halves {
  display: grid;
  grid-template-columns: minmax(280px, 1fr) minmax(0, 1.9fr);
  gap: 12px;
  align-items: start;
  margin-top: 8px;
}
.given,
.answer {
  padding: 16px;
  display: grid;
  gap: 12px;
  min-width: 0;
}
/* What is typed and what it does stay side by side. */
.answer {
  position: sticky;
  top: 12px;
  max-height: calc(100vh - 24px);
  overflow: auto;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 0 18px;
}
.shown {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(270px, 1fr));
  gap: 14px 22px;
  align-items: start;
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.paper-only {
  display: none;
}
@media (max-width: 860px) {
  .halves {
    grid-template-columns: minmax(0, 1fr);
  }
  .answer {
    position: static;
    max-height: none;
    overflow: visible;
  }
}
@media print {
  .halves {
    display: block;
  }
  .paper-only {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 2px 16px;
    margin-bottom: 12px;
  }
}
</style>
