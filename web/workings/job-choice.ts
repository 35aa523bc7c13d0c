import { jobListView, type JobLine } from '@dusk-wren/contract';
import { defineStore } from 'pinia';
import { ref } from 'vue';
import { call } from '../api/client';

/** The open job that workings are filled from and kept with: once chosen, it stays chosen. */
export const useJobChoice = defineStore('job-choice', () => {
  const jobs = ref<JobLine[]>([]);
  const chosen = ref<string>();

  async function load(): Promise<void> {
    ({ jobs: jobs.value } = await call('/jobs?limit=100', jobListView));
    if (!jobs.value.some(({ id }) => id === chosen.value)) chosen.value = jobs.value[0]?.id;
  }
  const tagOf = (id: string | undefined) => jobs.value.find((job) => job.id === id)?.tag ?? '';
  return { jobs, chosen, load, tagOf };
});
