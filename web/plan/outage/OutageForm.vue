<script setup lang="ts">
import type { OutagePreview, OutageView } from '@dusk-wren/contract/outages';
import { computed, ref } from 'vue';
import CsvChooser from '../../parts/CsvChooser.vue';
import DayField from '../../parts/DayField.vue';
import RowByRow from '../../parts/RowByRow.vue';
import { useOutages } from './outages';

/** A new outage: what it is called, its days, and the file of its valves, seen row by row before it is taken. */
const emit = defineEmits<{ added: [outage: OutageView] }>();
const { wrong, preview, add } = useOutages();
const [name, from, to] = [ref(''), ref(''), ref('')];
const file = ref({ name: '', csv: '' });
const seen = ref<OutagePreview>();
async function look(chosen: { name: string; csv: string }): Promise<void> {
  [file.value, seen.value] = [chosen, undefined];
  seen.value = await preview(chosen.csv);
}
const lacking = computed(() => [
  ...(name.value.trim() === '' ? ['a name'] : []),
  ...(from.value === '' ? ['its first day'] : []),
  ...(to.value === '' ? ['its last day'] : []),
]);
async function take(): Promise<void> {
  if (lacking.value.length > 0) {
    wrong.value = `Still wanted: ${lacking.value.join(', ')}.`;
    return;
  }
  const skipBad = seen.value?.rows.some(({ does }) => does === 'bad') ?? false;
  const asked = { name: name.value, from: from.value, to: to.value, csv: file.value.csv, skipBad };
  const outage = await add(asked);
  if (outage) emit('added', outage);
}
</script>

<template>
  <section class="row-flat form" aria-label="A new outage">
    <h2>A new outage</h2>
    <div class="fields">
      <v-text-field v-model="name" label="Called" maxlength="80" autocomplete="off" />
      <DayField v-model="from" label="First day" />
      <DayField v-model="to" label="Last day" />
    </div>
    <p class="muted">
      Its valves are a CSV file with the column <i>tag</i>; <i>customer</i> or <i>serial</i> beside it where
      several have one tag. Nothing is kept before you have seen what was found.
    </p>
    <CsvChooser @chosen="look" @failed="wrong = $event" />
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
    <RowByRow v-if="seen" :name="file.name" :good="seen.good" :rows="seen.rows" @take="take" />
  </section>
</template>

<style scoped>
.form {
  display: grid;
  gap: 10px;
  justify-items: start;
  padding: 14px 16px;
}
.fields {
  display: grid;
  grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr) minmax(0, 1fr);
  gap: 8px 14px;
  width: 100%;
}
@media (max-width: 760px) {
  .fields {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
