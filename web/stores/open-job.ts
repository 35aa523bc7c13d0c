import { jobId } from '@dusk-wren/core/job';
import { onBeforeUnmount, watch } from 'vue';
import { useJob } from './job';

/** The job a page is about: opened by the id in its address, closed when the page goes. */
export function useOpenJob(id: () => string): ReturnType<typeof useJob> {
  const job = useJob();
  watch(
    id,
    (text) => {
      const read = jobId.safeParse(text);
      if (read.success) void job.open(read.data);
      else job.failed = 'There is no such job.';
    },
    { immediate: true },
  );
  onBeforeUnmount(job.close);
  return job;
}
