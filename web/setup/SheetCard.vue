<script setup lang="ts">
import type { ModelSheets, SheetRequest, ShopSheet, SiteEffects } from '@dusk-wren/contract';
import { capital } from '@dusk-wren/core/quantity';
import { figuresOn, type MakersSheet } from '@dusk-wren/core/valve';
import { computed, ref, watch } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import { sayMoment } from '../parts/dates';
import { usePreferences } from '../stores/preferences';
import SheetForm from './SheetForm.vue';

/** A model with the maker's sheet that the shop goes by, and those before it. */
const props = defineProps<{
  model: ModelSheets;
  effects: (sheet: MakersSheet) => Promise<SiteEffects | undefined>;
}>();
const emit = defineEmits<{ file: [asked: SheetRequest]; withdraw: [id: number] }>();
const { show } = usePreferences();
const figures = computed(() => figuresOn(props.model.current.sheet));
const isOpen = ref(false);
const typing = ref(false);
/** Said before it is taken away. */
const asking = ref(false);
watch(
  () => props.model.current.id,
  () => ([typing.value, asking.value] = [false, false]),
);
const origin = ({ by, at, job }: ShopSheet): string =>
  [by, at ? sayMoment(at) : 'before that was kept', job && `on ${job.tag}`].filter(Boolean).join(', ');
</script>

<template>
  <details class="model" @toggle="isOpen = !isOpen">
    <summary>
      <b>{{ model.model }}</b>
      <span class="label">revision {{ model.current.sheet.revision }}</span>
      <span class="label muted">{{ figures.map(({ figure }) => figure.words).join(', ') }}</span>
    </summary>
    <div v-if="isOpen" class="body">
      <ul class="figures">
        <li v-for="{ figure, value, page } in figures" :key="figure.key">
          <span>{{ capital(figure.words) }}</span> <b class="number">{{ show(value) }}</b>
          <span class="label muted">page {{ page }}</span>
        </li>
      </ul>
      <p class="label muted">
        The shop’s by {{ origin(model.current) }}.
        <router-link v-if="model.current.job" class="way" :to="`/jobs/${model.current.job.id}`"
          >Open {{ model.current.job.tag }}</router-link
        >
      </p>
      <SheetForm
        v-if="typing"
        :from="model.current"
        :effects="effects"
        @file="emit('file', { sheet: $event, instead: model.current.id })"
        @leave="typing = false"
      />
      <div v-else class="acts">
        <BenchButton @press="typing = true">Type its next revision</BenchButton>
        <BenchButton v-if="!asking" @press="asking = true">Withdraw it…</BenchButton>
        <template v-else>
          <BenchButton @press="emit('withdraw', model.current.id)">{{
            model.earlier[0]
              ? `Withdraw ${model.current.sheet.revision}: ${model.earlier[0].sheet.revision} is the shop’s again`
              : `Withdraw ${model.current.sheet.revision}: the shop has none`
          }}</BenchButton>
          <BenchButton lamp @press="asking = false">Keep it</BenchButton>
        </template>
      </div>
      <ol v-if="model.earlier.length > 0" class="earlier label muted" aria-label="Before it">
        <li v-for="each in model.earlier" :key="each.id">
          Revision {{ each.sheet.revision }}:
          {{
            figuresOn(each.sheet)
              .map(({ figure, value, page }) => `${figure.words} ${show(value)}, page ${page}`)
              .join('; ')
          }}. {{ origin(each) }}
        </li>
      </ol>
    </div>
  </details>
</template>

<style scoped>
.model {
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
}
summary {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  align-items: center;
  min-height: var(--touch);
  padding: 6px 14px;
  cursor: pointer;
}
summary b {
  font-size: 18px;
}
.body {
  display: grid;
  gap: 10px;
  padding: 4px 14px 16px;
}
.figures {
  display: grid;
  gap: 4px;
  padding: 0;
  margin: 0;
  list-style: none;
}
.figures li {
  display: grid;
  grid-template-columns: minmax(150px, 300px) minmax(90px, 130px) 1fr;
  gap: 2px 14px;
  align-items: baseline;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.earlier {
  display: grid;
  gap: 4px;
  padding: 0;
  margin: 0;
  list-style: none;
}
@media (max-width: 700px) {
  .figures li {
    grid-template-columns: 1fr auto;
  }
  .figures li > :first-child {
    grid-column: 1 / -1;
  }
}
</style>
