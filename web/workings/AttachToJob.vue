<script setup lang="ts">
import { commandView, jobView } from '@dusk-wren/contract';
import type { RawCommand } from '@dusk-wren/core/command';
import { ref } from 'vue';
import { call } from '../api/client';
import { faultOf } from '../stores/fault';
import { useKeys } from '../keys/keys';
import BenchButton from '../parts/BenchButton.vue';
import { useJobChoice } from './job-choice';
import JobChoice from './JobChoice.vue';

/** Keeps what is on the page with an open job; the server works it again. */
const props = defineProps<{
  command: () => RawCommand | undefined;
  /** The job that the page was opened from: one press keeps it there. */
  from?: { readonly id: string; readonly tag: string } | undefined;
}>();
const open = ref(false);
const choice = useJobChoice();
const said = ref('');
const failed = ref('');

async function begin(): Promise<void> {
  if (props.from) return keepWith(props.from);
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
  if (job) await keepWith(job);
}
async function keepWith(job: { readonly id: string; readonly tag: string }): Promise<void> {
  const command = props.command();
  if (!command) return;
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
useKeys([
  { key: 'k', label: 'Keep with the job', run: () => void begin(), when: () => props.from !== undefined },
]);
</script>

<template>
  <div class="attach no-print">
    <BenchButton v-if="from" lamp hint="k" @press="begin">Keep with {{ from.tag }}</BenchButton>
    <BenchButton v-else-if="!open" @press="begin">Keep with a job</BenchButton>
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
