<script setup lang="ts">
import { wordProblem } from '@dusk-wren/contract/wording';
import { findWorking, onDay } from '@dusk-wren/core/workings';
import { useClipboard } from '@vueuse/core';
import { computed, reactive, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import BenchButton from '../parts/BenchButton.vue';
import ContactRing from '../parts/ContactRing.vue';
import WorkingPaper from '../parts/WorkingPaper.vue';
import AnswerFigures from '../workings/AnswerFigures.vue';
import AttachToJob from '../workings/AttachToJob.vue';
import { exampleFor, fieldsFor, missingFrom, rawFrom, type Typed } from '../workings/given';
import { useRecentWorkings } from '../workings/recent';
import { asText, givenLines, refusalWords } from '../workings/words';
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
for (const [name, value] of Object.entries(route.query)) if (typeof value === 'string') typed[name] = value;
watch(
  typed,
  (now) =>
    void router.replace({
      query: Object.fromEntries(Object.entries(now).filter(([, value]) => value !== '')),
    }),
);

const raw = computed(() => rawFrom(fields.value, typed));
const missing = computed(() => missingFrom(fields.value, typed));
const today = () => new Date().toISOString().slice(0, 10);
const answer = computed(() =>
  working.value && missing.value.length === 0
    ? working.value.run(onDay(working.value, raw.value, today()))
    : undefined,
);
const worked = computed(() => (answer.value?.ok ? answer.value.value : undefined));
watch(worked, (now) => now && recent.used(props.id), { immediate: true });

const isEmpty = computed(() => Object.keys(raw.value).length === 0);
const showExample = () => Object.assign(typed, exampleFor(fields.value));
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
    <p class="label no-print"><router-link to="/workings">All workings</router-link></p>
    <header>
      <h1>{{ working.title }}</h1>
      <p>{{ working.meaning }}</p>
    </header>
    <div class="halves">
      <form class="given row-flat no-print" @submit.prevent>
        <WorkingEntry
          v-for="field in fieldsFor(fields, typed)"
          :key="field.name"
          :field="field"
          :model-value="typed[field.name] ?? ''"
          @update:model-value="typed[field.name] = $event ?? ''"
        />
        <p class="label">
          <button v-if="isEmpty" type="button" class="link-button" @click="showExample">
            Fill in an example
          </button>
          <button v-else type="button" class="link-button" @click="clear">Clear</button>
        </p>
      </form>
      <dl class="paper-only">
        <template v-for="entry in givenLines(working, typed)" :key="entry.label">
          <dt>{{ entry.label }}</dt>
          <dd>{{ entry.value }}</dd>
        </template>
      </dl>
      <section class="answer row-flat" aria-live="polite" aria-label="Answer">
        <template v-if="worked">
          <div class="shown">
            <AnswerFigures :working="working" :result="worked.result" />
            <WorkingPicture :id="id" :raw="raw" />
          </div>
          <WorkingPaper :steps="worked.steps" :notes="worked.notes" :source="worked.source" told />
          <div class="buttons no-print">
            <BenchButton @press="copy">{{ clipboard.copied.value ? 'Copied' : 'Copy' }}</BenchButton>
            <BenchButton @press="print">Print</BenchButton>
            <AttachToJob :command="command" />
          </div>
        </template>
        <p v-else-if="answer?.problem" class="problem" role="alert">
          <ContactRing verdict="ask" /> {{ refusalWords(answer.problem, working) }}
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
