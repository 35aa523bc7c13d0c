<script setup lang="ts">
import type { ShopSheet, SiteEffects } from '@dusk-wren/contract';
import { capital, type Quantity } from '@dusk-wren/core/quantity';
import {
  asFigures,
  figuresOn,
  makersSheet,
  SHEET_FIGURES,
  type MakersSheet,
  type SheetFigure as AskedFigure,
} from '@dusk-wren/core/valve';
import { computed, ref, watch } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import SheetFigure from '../parts/SheetFigure.vue';
import OtherwiseList from './OtherwiseList.vue';

/** A maker's sheet that is typed: a model's first, or its next revision, which begins from the one before. */
const props = defineProps<{
  from?: ShopSheet;
  effects: (sheet: MakersSheet) => Promise<SiteEffects | undefined>;
}>();
const emit = defineEmits<{ file: [sheet: MakersSheet]; leave: [] }>();

interface Line {
  readonly figure: AskedFigure;
  value: Quantity<'torque' | 'length'> | undefined;
  page: string;
}
/** What most sheets give. */
const USUAL = ['jointTorque', 'glandTorque', 'stemTir'];
const lines = ref<Line[]>(
  props.from
    ? figuresOn(props.from.sheet)
    : SHEET_FIGURES.filter(({ key }) => USUAL.includes(key)).map((figure) => ({
        ...{ figure, value: undefined, page: '' },
      })),
);
const model = ref(props.from?.sheet.model ?? '');
const revision = ref('');
const others = computed(() =>
  SHEET_FIGURES.filter(({ key }) => !lines.value.some(({ figure }) => figure.key === key)),
);
function ask(key: string): void {
  const figure = others.value.find((each) => each.key === key);
  if (figure) lines.value.push({ figure, value: undefined, page: '' });
}
const given = computed(() => lines.value.filter(({ value }) => value !== undefined));
const lacking = computed(() => [
  ...(model.value.trim() === '' ? ['a model'] : []),
  ...(revision.value.trim() === '' ? ['a revision'] : []),
  ...(given.value.length === 0 ? ['a figure'] : []),
  ...(given.value.some(({ page }) => page.trim() === '') ? ['a page for each figure'] : []),
]);
const sheet = computed(() => {
  const figures = asFigures(given.value.map(({ figure: { key }, value, page }) => ({ key, value, page })));
  return makersSheet.safeParse({ model: model.value, revision: revision.value, figures });
});
const found = ref<SiteEffects>();
watch([lines, model, revision], () => (found.value = undefined), { deep: true });
async function look(): Promise<void> {
  if (sheet.value.success) found.value = await props.effects(sheet.value.data);
}
const keep = () => sheet.value.success && emit('file', sheet.value.data);
</script>

<template>
  <form class="sheet" @submit.prevent="keep">
    <div class="row">
      <v-text-field
        v-model="model"
        label="Model, as its plate says it"
        autocomplete="off"
        maxlength="60"
        :readonly="from !== undefined"
      />
      <v-text-field v-model="revision" label="Revision" autocomplete="off" maxlength="20" />
    </div>
    <SheetFigure
      v-for="line in lines"
      :key="line.figure.key"
      v-model:value="line.value"
      v-model:page="line.page"
      :label="capital(line.figure.words)"
      :dimension="line.figure.dimension"
      :example="line.figure.dimension === 'torque' ? '90 ft-lb' : '3 thou'"
      :of="line.figure.words.replace(/^.* of (the )?/, '')"
    />
    <v-select
      v-if="others.length > 0"
      :model-value="null"
      label="One more figure"
      :items="others.map(({ key, words }) => ({ value: key, title: capital(words) }))"
      @update:model-value="(key: unknown) => ask(String(key))"
    />
    <div class="acts">
      <BenchButton :disabled="lacking.length > 0" :lacking="lacking.join(', ')" @press="look"
        >What it would change</BenchButton
      >
      <BenchButton
        kind="submit"
        :lamp="lacking.length === 0"
        :disabled="lacking.length > 0"
        :lacking="lacking.join(', ')"
        >The shop’s from now on</BenchButton
      >
      <BenchButton @press="emit('leave')">Leave it</BenchButton>
    </div>
    <OtherwiseList v-if="found" :jobs="found.jobs">
      <p>
        <b
          >{{ found.jobs.length }} of {{ found.looked }} open jobs on a {{ model }} would stand otherwise.
          Each keeps the sheet that it has.</b
        >
      </p>
    </OtherwiseList>
  </form>
</template>

<style scoped>
.sheet {
  display: grid;
  gap: 10px;
  padding: 14px 16px;
  border: 1px solid var(--lamp);
  border-radius: var(--radius);
}
.row {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(110px, 1fr);
  gap: 10px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
</style>
