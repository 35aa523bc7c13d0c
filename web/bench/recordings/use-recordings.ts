import { recordingsView, type RecordingView } from '@dusk-wren/contract/recordings';
import { useQuery } from '@pinia/colada';
import { useIntervalFn } from '@vueuse/core';
import { computed } from 'vue';
import { call, callForBytes } from '../../api/client';
import { useJob } from '../../stores/job';

/** A rig that has just written its file is not waited for longer than this. */
const LOOKS_EVERY = 5000;

/** What rigs left for the job that is open, as it comes. */
export function useRecordings() {
  const job = useJob();
  const { data, refetch } = useQuery({
    key: () => ['recordings', job.id ?? ''],
    query: () => call(`/jobs/${job.id}/recordings`, recordingsView),
    enabled: () => job.id !== undefined,
    staleTime: 0,
  });
  useIntervalFn(() => {
    if (data.value?.watched !== false) void refetch();
  }, LOOKS_EVERY);
  const recordings = computed<readonly RecordingView[]>(() => data.value?.recordings ?? []);
  const bytesOf = ({ id }: RecordingView) => callForBytes(`/jobs/${job.id}/recordings/${id}`);
  return { recordings, bytesOf };
}
