<script setup lang="ts" generic="T">
import type { RecordingView } from '@dusk-wren/contract/recordings';
import { ref } from 'vue';
import BenchButton from '../../parts/BenchButton.vue';
import { sayMoment } from '../../parts/dates';
import { useTrying } from '../../stores/trying';
import type { Reader } from './reader';
import { useRecordings } from './use-recordings';

/** Recordings that a rig left for this job: each is read in with a press. */
const props = defineProps<{
  reader: Reader<T>;
  /** What was made of one, before it is kept. */
  words: (made: T) => string;
  /** The file that what is kept was read from. */
  kept: string | undefined;
}>();
const emit = defineEmits<{ made: [made: T] }>();
const { recordings, bytesOf } = useRecordings();
const said = ref('');
const { wrong, trying } = useTrying();
const read = (recording: RecordingView) =>
  trying(async () => {
    said.value = '';
    const made = props.reader(recording.file, await bytesOf(recording));
    if (typeof made === 'string') {
      said.value = made;
      return;
    }
    said.value = `${props.words(made)} from “${recording.file}”: look, then keep what was read.`;
    emit('made', made);
  });
</script>

<template>
  <section v-if="recordings.length > 0" class="landed" aria-label="Recordings from the rig">
    <ul>
      <li v-for="each in recordings" :key="each.id">
        <BenchButton @press="read(each)">Read in “{{ each.file }}”</BenchButton>
        <span class="label muted"
          >from the rig, {{ sayMoment(each.at) }}, {{ each.rows }} rows{{
            each.file === kept ? '; what is kept is of it' : ''
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
