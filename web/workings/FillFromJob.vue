<script setup lang="ts">
import { jobView } from '@dusk-wren/contract';
import { figuresFor } from '@dusk-wren/core/figures';
import { fold } from '@dusk-wren/core/job';
import { plan } from '@dusk-wren/core/plan';
import type { RegisteredWorking } from '@dusk-wren/core/workings';
import { ref } from 'vue';
import { call } from '../api/client';
import { faultOf } from '../stores/fault';
import { usePreferences } from '../stores/preferences';
import type { Typed } from './given';
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
    const { entries } = await call(`/jobs/${id}`, jobView);
    const state = fold(entries);
    const planned = state.ok ? plan(state.value) : undefined;
    if (!state.ok || !planned?.ok || !planned.value) throw new Error('this job is of another version');
    const figures = figuresFor(props.working, planned.value, state.value, preferences.units);
    const count = Object.keys(figures).length;
    said.value =
      count === 0
        ? `${choice.tagOf(id)} knows nothing of what is asked here.`
        : `${count === 1 ? 'One figure' : `${count} figures`} from ${choice.tagOf(id)}.`;
    emit('fill', figures);
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
