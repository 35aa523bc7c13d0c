import { readingMessage, type ReadingMessage } from '@dusk-wren/contract';
import type { InstrumentKind } from '@dusk-wren/core/job';
import { computed, onBeforeUnmount, ref } from 'vue';
import { useJob } from '../stores/job';
import { gathered } from './gathered';

/** Listens to an instrument of a kind for what is asked (the step, the pass): the one in calibration unless another is picked. */
export function useReadings(
  kind: InstrumentKind,
  asked: () => Record<string, string>,
  onReading: (reading: ReadingMessage) => void,
) {
  const job = useJob();
  const picked = ref<string>();
  const running = ref(false);
  const choices = computed(() => job.instruments.filter((each) => each.kind === kind));
  const instrument = computed(
    () => choices.value.find(({ id }) => id === picked.value) ?? job.instrumentOf(kind),
  );
  let source: EventSource | undefined;

  function stop(): void {
    source?.close();
    source = undefined;
    running.value = false;
  }

  function start(): void {
    stop();
    if (!instrument.value || !job.id) return;
    running.value = true;
    const stream = new EventSource(
      `/api/instruments/${instrument.value.id}/readings?${new URLSearchParams({ job: job.id, ...asked() }).toString()}`,
    );
    source = stream;
    const heard = gathered<ReadingMessage>((readings) => {
      for (const reading of readings) if (source === stream) onReading(reading);
    });
    const end = () => {
      heard.hand();
      stop();
    };
    stream.onmessage = (event) => {
      const data: unknown = JSON.parse(String(event.data));
      const reading = readingMessage.safeParse(data);
      if (reading.success) heard.add(reading.data);
      else end();
    };
    stream.onerror = end;
  }

  onBeforeUnmount(stop);
  return { choices, instrument, picked, running, start, stop };
}
