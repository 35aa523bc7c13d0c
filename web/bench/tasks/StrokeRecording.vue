<script setup lang="ts">
import {
  mapColumns,
  readNumberTable,
  strokeFrom,
  strokeLoop,
  strokePoints,
  type StrokePoint,
} from '@dusk-wren/core/analysis';
import { MOST_POINTS } from '@dusk-wren/core/job';
import { si, type Length } from '@dusk-wren/core/quantity';
import { useFileDialog } from '@vueuse/core';
import { ref } from 'vue';
import BenchButton from '../../parts/BenchButton.vue';

/** A recorded ramp there and back, from a file: the points are read out of it. */
const props = defineProps<{ at: readonly number[]; rated: Length | undefined }>();
export interface Recorded {
  readonly points: readonly StrokePoint[];
  /** Its file and its curve, as they are kept. */
  readonly recording: { readonly file: string; readonly signal: number[]; readonly travel: number[] };
}
const emit = defineEmits<{ points: [recorded: Recorded] }>();
const said = ref('');
const WHY = {
  'no signal': 'The recording has no column of the signal: the points are read at their signals.',
  'not all the way': 'It does not go all the way there and back: not every point is in it, both ways.',
} as const;

const { open: choose, onChange } = useFileDialog({
  accept: '.csv,.txt,text/csv',
  multiple: false,
  reset: true,
});
onChange((files) => {
  const file = files?.[0];
  if (file) void read(file);
});
async function read(file: File): Promise<void> {
  const table = readNumberTable(new Uint8Array(await file.arrayBuffer()));
  if (!table) {
    said.value = `“${file.name}” is no CSV with a header line and rows of numbers. Nothing was changed.`;
    return;
  }
  const { columns } = mapColumns(table.headers, {});
  const made = strokeFrom(table, columns);
  if ('missing' in made) {
    said.value = `“${file.name}” lacks a column for ${made.missing.join(' and ')}, with its unit in the header.`;
    return;
  }
  const isLength = columns.travel?.dimension === 'length';
  if (isLength && !props.rated) {
    said.value = 'Its travel is a length: the rated travel of this valve must be taken first.';
    return;
  }
  const full = isLength && props.rated ? si(props.rated) : undefined;
  const points = strokePoints(made.stroke, props.at, full);
  said.value = typeof points === 'string' ? WHY[points] : `${points.length} points from “${file.name}”.`;
  if (typeof points === 'string') return;
  const loop = strokeLoop(made.stroke, MOST_POINTS, full);
  emit('points', { points, recording: { file: file.name.slice(0, 120), ...loop } });
}
</script>

<template>
  <p class="recording">
    <BenchButton @press="choose">Read a recording instead, CSV</BenchButton>
    <span v-if="said" class="label" role="status">{{ said }}</span>
  </p>
</template>

<style scoped>
.recording {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
</style>
