<script setup lang="ts">
import { wordProblem } from '@dusk-wren/contract/wording';
import type { Quantity } from '@dusk-wren/core/quantity';
import { findWorking, type ResultValue } from '@dusk-wren/core/workings';
import { computed, reactive, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import ContactRing from '../parts/ContactRing.vue';
import WorkingPaper from '../parts/WorkingPaper.vue';
import { usePreferences } from '../stores/preferences';
import WorkingField from './WorkingField.vue';

/** One working, usable alone: the answer follows the typing, and the address keeps what was typed. */
const props = defineProps<{ id: string }>();
const route = useRoute();
const router = useRouter();
const preferences = usePreferences();

const working = computed(() => findWorking(props.id));
const typed = reactive<Record<string, string>>({});
for (const [name, value] of Object.entries(route.query)) if (typeof value === 'string') typed[name] = value;
watch(
  typed,
  (now) =>
    void router.replace({
      query: Object.fromEntries(Object.entries(now).filter(([, value]) => value !== '')),
    }),
);

const given = computed(() => {
  if (!working.value.ok) return {};
  return Object.fromEntries(
    working.value.value.fields.flatMap((field): [string, unknown][] => {
      const text = typed[field.name]?.trim() ?? '';
      if (text === '') return [];
      if (field.kind === 'quantities')
        return [
          [
            field.name,
            text
              .split(/[;\n]|,\s+/)
              .map((each) => each.trim())
              .filter(Boolean),
          ],
        ];
      if (field.kind === 'arcs') return [[field.name, arcsFrom(text)]];
      return [[field.name, text]];
    }),
  );
});
/** `10-350 0.03 in; …` as stretches of the blue line. */
function arcsFrom(text: string): { from: number; to: number; width: string }[] {
  return text.split(/[;\n]/).flatMap((each) => {
    const found = /^\s*(\d+(?:\.\d+)?)\s*(?:-|to)\s*(\d+(?:\.\d+)?)°?\s+(.+)$/.exec(each);
    return found ? [{ from: Number(found[1]), to: Number(found[2]), width: found[3] ?? '' }] : [];
  });
}
const missing = computed(() =>
  working.value.ok
    ? working.value.value.fields
        .filter(({ optional, name }) => !optional && !typed[name]?.trim())
        .map(({ label }) => label)
    : [],
);
const answer = computed(() =>
  working.value.ok && missing.value.length === 0 ? working.value.value.run(given.value) : undefined,
);
const rows = computed(() => {
  if (!answer.value?.ok || !working.value.ok) return [];
  const labels = working.value.value.results;
  return Object.entries(answer.value.value.result).flatMap(([name, value]) =>
    value === undefined ? [] : [{ name, label: labels[name] ?? name, text: shown(value) }],
  );
});
function shown(value: ResultValue): string {
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value !== 'object') return String(value);
  if (isList(value)) return value.length === 0 ? 'none' : value.map(shown).join(' · ');
  if (isQuantity(value)) return preferences.show(value);
  return Object.values(value).map(shown).join(', ');
}
const isList = (value: ResultValue): value is readonly ResultValue[] => Array.isArray(value);
const isQuantity = (value: object): value is Quantity => 'dimension' in value && 'unit' in value;
</script>

<template>
  <div v-if="working.ok" class="page working">
    <p class="label"><router-link to="/workings">All workings</router-link></p>
    <h1>{{ working.value.title }}</h1>
    <p>{{ working.value.meaning }}</p>
    <div class="halves">
      <form class="given row-flat" @submit.prevent>
        <WorkingField
          v-for="field in working.value.fields"
          :key="field.name"
          :field="field"
          :model-value="typed[field.name] ?? ''"
          @update:model-value="typed[field.name] = $event"
        />
      </form>
      <section class="answer row-flat" aria-live="polite" aria-label="Answer">
        <template v-if="answer?.ok">
          <dl>
            <template v-for="row in rows" :key="row.name"
              ><dt class="label muted">{{ row.label }}</dt>
              <dd class="number">{{ row.text }}</dd></template
            >
          </dl>
          <WorkingPaper
            :steps="answer.value.steps"
            :notes="answer.value.notes"
            :source="answer.value.source"
            open
          />
        </template>
        <p v-else-if="answer" class="problem" role="alert">
          <ContactRing verdict="ask" /> {{ wordProblem(answer.problem) }}
        </p>
        <p v-else class="muted">Still wanted: {{ missing.join(', ') }}.</p>
      </section>
    </div>
  </div>
  <p v-else class="page problem">
    {{ wordProblem(working.problem) }} <router-link to="/workings">All workings</router-link>
  </p>
</template>

<style scoped>
.working {
  display: grid;
  gap: 8px;
}
.halves {
  display: grid;
  grid-template-columns: minmax(260px, 1fr) minmax(0, 1.6fr);
  gap: 12px;
  align-items: start;
  margin-top: 8px;
}
.given,
.answer {
  padding: 16px;
  display: grid;
  gap: 12px;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 2px 22px;
  align-items: baseline;
}
dd {
  font-size: 22px;
  color: var(--blue);
}
@media (max-width: 860px) {
  .halves {
    grid-template-columns: 1fr;
  }
}
</style>
