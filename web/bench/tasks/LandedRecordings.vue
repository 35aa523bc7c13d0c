<script setup lang="ts">
import type { RecordingView } from '@dusk-wren/contract/recordings';
import type { Length } from '@dusk-wren/core/quantity';
import { ref } from 'vue';
import BenchButton from '../../parts/BenchButton.vue';
import { sayMoment } from '../../parts/dates';
import { useTrying } from '../../stores/trying';
import { strokeOfFile, type Recorded } from './stroke-of-file';
import { useRecordings } from './use-recordings';

/** Recordings that a rig left for this job: each is read in with a press. */
const props = defineProps<{
  at: readonly number[];
  rated: Length | undefined;
  /** The file that the kept stroke was read from. */
  kept: string | undefined;
}>();
const emit = defineEmits<{ points: [recorded: Recorded] }>();
const { recordings, bytesOf } = useRecordings();
const said = ref('');
const { wrong, trying } = useTrying();
const read = (recording: RecordingView) =>
  trying(async () => {
    said.value = '';
    const made = strokeOfFile(recording.file, await bytesOf(recording), props);
    if (typeof made === 'string') {
      said.value = made;
      return;
    }
    said.value = `${made.points.length} points from “${recording.file}”: look at them, then keep them.`;
    emit('points', made);
  });
</script>

<template>
  <section v-if="recordings.length > 0" class="landed" aria-label="Recordings from the rig">
    <ul>
      <li v-for="each in recordings" :key="each.id">
        <BenchButton @press="read(each)">Read in “{{ each.file }}”</BenchButton>
        <span class="label muted"
          >from the rig, {{ sayMoment(each.at) }}, {{ each.rows }} rows{{
            each.file === kept ? '; the stroke that is kept is of it' : ''
          }}</span
        >
      </li>
    </ul>
    <p class="label" role="status">{{ said }}</p>
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
  </section>
</template>

<style scoped>
.landed,
ul {
  display: grid;
  gap: 8px;
}
ul {
  padding: 0;
  margin: 0;
  list-style: none;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
}
li :deep(button) {
  max-width: 100%;
  overflow-wrap: anywhere;
}
</style>
