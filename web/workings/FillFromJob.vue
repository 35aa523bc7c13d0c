<script setup lang="ts">
import type { RegisteredWorking } from '@dusk-wren/core/workings';
import { ref } from 'vue';
import { faultOf } from '../stores/fault';
import { usePreferences } from '../stores/preferences';
import type { Typed } from './given';
import { figuresFromJob, saidOfFill } from './from-job';
import { useJobChoice } from './job-choice';
import JobChoice from './JobChoice.vue';

/** Takes what an open job knows into the form, so that nothing is typed twice. */
const props = defineProps<{ working: RegisteredWorking }>();
const emit = defineEmits<{ fill: [figures: Typed] }>();
const choice = useJobChoice();
const preferences = usePreferences();
const open = ref(false);
const said = ref('');

async function begin(): Promise<void> {
  said.value = '';
  try {
    await choice.load();
    open.value = true;
  } catch (error) {
    said.value = faultOf(error);
  }
}
async function fill(): Promise<void> {
  const id = choice.chosen;
  if (!id) return;
  try {
    const filled = await figuresFromJob(id, props.working, preferences.units);
    said.value = saidOfFill(filled);
    emit('fill', filled.figures);
    open.value = false;
  } catch (error) {
    said.value = faultOf(error);
  }
}
</script>

<template>
  <div class="fill">
    <button v-if="!open" type="button" class="link-button" @click="begin">Fill from a job</button>
    <JobChoice v-else act="Fill" @take="fill" @leave="open = false" />
    <span v-if="said" class="label muted" role="status">{{ said }}</span>
  </div>
</template>

<style scoped>
.fill {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
}
</style>
