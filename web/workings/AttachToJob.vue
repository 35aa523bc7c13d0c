<script setup lang="ts">
import { commandView, jobView } from '@dusk-wren/contract';
import type { RawCommand } from '@dusk-wren/core/command';
import { ref } from 'vue';
import { call } from '../api/client';
import { faultOf } from '../stores/fault';
import BenchButton from '../parts/BenchButton.vue';
import { useJobChoice } from './job-choice';
import JobChoice from './JobChoice.vue';

/** Keeps what is on the page with an open job; the server works it again. */
const props = defineProps<{ command: () => RawCommand | undefined }>();
const open = ref(false);
const choice = useJobChoice();
const said = ref('');
const failed = ref('');

async function begin(): Promise<void> {
  open.value = true;
  said.value = failed.value = '';
  try {
    await choice.load();
  } catch (error) {
    failed.value = faultOf(error);
  }
}
async function attach(): Promise<void> {
  const job = choice.jobs.find(({ id }) => id === choice.chosen);
  const command = props.command();
  if (!job || !command) return;
  failed.value = '';
  try {
    const { version } = await call(`/jobs/${job.id}`, jobView);
    await call(`/jobs/${job.id}/commands`, commandView, {
      method: 'POST',
      body: { baseVersion: version, commandId: crypto.randomUUID(), command },
    });
    said.value = `Kept with ${job.tag}.`;
    open.value = false;
  } catch (error) {
    failed.value = faultOf(error);
  }
}
</script>

<template>
  <div class="attach no-print">
    <BenchButton v-if="!open" @press="begin">Keep with a job</BenchButton>
    <JobChoice v-else act="Keep it" @take="attach" @leave="open = false" />
    <p v-if="said" class="label fit" role="status">{{ said }}</p>
    <p v-if="failed" class="problem" role="alert">{{ failed }}</p>
  </div>
</template>

<style scoped>
.attach {
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
}
</style>
