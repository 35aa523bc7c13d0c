<script setup lang="ts">
import {
  setupFilePreview,
  setupFileTaken,
  type PersonWithCode,
  type SetupFileKind,
  type SetupFilePreview,
} from '@dusk-wren/contract';
import { ref } from 'vue';
import { call } from '../api/client';
import CsvChooser from '../parts/CsvChooser.vue';
import RowByRow from '../parts/RowByRow.vue';
import { useTrying } from '../stores/trying';

/** One kind of thing that is set up, as a file: out, and in once it is seen row by row what it would do. */
const props = defineProps<{
  kind: SetupFileKind;
  /** What its heading says. */
  columns: string;
  /** Where a page has several. */
  title?: string;
}>();
const emit = defineEmits<{ taken: [codes: readonly PersonWithCode[]] }>();
const chosen = ref({ name: '', csv: '' });
const preview = ref<SetupFilePreview>();
const said = ref('');
const { wrong, trying } = useTrying();
const look = (file: { name: string; csv: string }) =>
  trying(async () => {
    [chosen.value, preview.value, said.value] = [file, undefined, ''];
    const body = { csv: file.csv };
    preview.value = await call(`/setup/files/${props.kind}/preview`, setupFilePreview, {
      method: 'POST',
      body,
    });
  });
const take = () =>
  trying(async () => {
    const { rows, after } = preview.value ?? { rows: [], after: 0 };
    const body = { csv: chosen.value.csv, skipBad: rows.some(({ does }) => does === 'bad'), after };
    const done = await call(`/setup/files/${props.kind}`, setupFileTaken, { method: 'POST', body });
    preview.value = undefined;
    said.value = `${chosen.value.name}: ${done.written} written${done.skipped > 0 ? `, ${done.skipped} left out` : ''}.`;
    emit('taken', done.codes);
  });
</script>

<template>
  <details class="file">
    <summary class="label">{{ title ?? 'From and to a file' }}</summary>
    <div class="body">
      <p class="muted">
        A CSV file with the columns: {{ columns }}. Nothing is written before you have seen what it would do.
      </p>
      <div class="acts">
        <CsvChooser @chosen="look" @failed="wrong = $event" />
        <a class="way label" :href="`/api/setup/files/${kind}.csv`" download>{{ kind }}.csv as it stands</a>
      </div>
      <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
      <p v-if="said" role="status">{{ said }}</p>
      <RowByRow v-if="preview" :name="chosen.name" :good="preview.good" :rows="preview.rows" @take="take" />
    </div>
  </details>
</template>

<style scoped>
.file {
  border: 1px solid var(--line);
  border-radius: var(--radius);
}
summary {
  display: flex;
  align-items: center;
  min-height: var(--touch);
  padding: 0 14px;
  cursor: pointer;
}
.body {
  display: grid;
  gap: 10px;
  justify-items: start;
  padding: 4px 14px 16px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 18px;
  align-items: center;
}
</style>
