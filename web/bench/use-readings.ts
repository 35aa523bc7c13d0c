import {
  sayTrouble,
  type InstrumentControl,
  type InstrumentTrouble,
  type ReadingMessage,
} from '@dusk-wren/contract';
import type { InstrumentKind } from '@dusk-wren/core/job';
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import { callForNothing } from '../api/client';
import { useBeingRead } from '../stores/being-read';
import { useJob } from '../stores/job';
import { openReadings } from '../stores/open-readings';

/** Troubles in which no reading comes. */
const BLIND: readonly InstrumentTrouble['is'][] = ['lost', 'refused', 'beyond', 'nothing'];

const NOTHING_CAME = 'Nothing was read, and why was not said: read it again.';

/** Listens to an instrument of a kind for what is asked (the step, the pass): the one in calibration unless another is picked. */
export function useReadings(
  kind: InstrumentKind,
  asked: () => Record<string, string>,
  onReading: (reading: ReadingMessage) => void,
) {
  const job = useJob();
  const picked = ref<string>();
  const running = ref(false);
  /** What is the matter with it, in words; it stays said where the reading ended with it. */
  const trouble = ref('');
  /** Nothing comes now, though it is read: what it showed last is no reading. */
  const isBlind = ref(false);
  const beingRead = useBeingRead();
  watch(running, (is) => (is ? beingRead.begin() : beingRead.end()), { flush: 'sync' });
  /** Asked for; read as soon as what was entered before has arrived, for a simulated valve is as its log says. */
  const isAsked = ref(false);
  const choices = computed(() => job.instruments.filter((each) => each.kind === kind));
  const instrument = computed(
    () => choices.value.find(({ id }) => id === picked.value) ?? job.instrumentOf(kind),
  );
  let close: (() => void) | undefined;
  /** Whether anything came of the reading that runs. */
  let hasCome = false;
  /** The name of the reading that runs, by which its instrument is set. */
  let reading = '';

  function stop(): void {
    isAsked.value = false;
    close?.();
    close = undefined;
    running.value = false;
  }

  function start(): void {
    stop();
    if (!instrument.value || !job.id) return;
    running.value = true;
    [trouble.value, isBlind.value] = ['', false];
    isAsked.value = true;
  }
  watch(
    () => isAsked.value && job.waiting.length === 0,
    (goes) => goes && open(),
    { flush: 'sync' },
  );
  function open(): void {
    if (!instrument.value || !job.id) return;
    isAsked.value = false;
    reading = crypto.randomUUID();
    const query = new URLSearchParams({ job: job.id, reading, ...asked() });
    const address = `/api/instruments/${instrument.value.id}/readings?${query.toString()}`;
    hasCome = false;
    close = openReadings(address, { onReading: heard, onEnd: ended });
  }

  /** A press that nothing came of is said to be one. */
  function ended(): void {
    if (!hasCome) trouble.value = NOTHING_CAME;
    stop();
  }

  function heard(message: ReadingMessage): void {
    hasCome = true;
    if (message.kind !== 'trouble') return onReading(message);
    trouble.value = sayTrouble(message.trouble);
    isBlind.value = BLIND.includes(message.trouble.is);
  }

  /** Sets something on the instrument while it is read; one that is gone is no longer read. */
  function set(control: InstrumentControl): void {
    if (!instrument.value || !running.value) return;
    callForNothing(`/instruments/${instrument.value.id}/controls`, {
      method: 'POST',
      body: { reading, control },
    }).catch(stop);
  }

  onBeforeUnmount(stop);
  return { choices, instrument, picked, running, trouble, isBlind, set, start, stop };
}
