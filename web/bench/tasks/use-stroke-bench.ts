import { huntsBy, standsAt } from '@dusk-wren/core/analysis';
import type { ReadingMessage } from '@dusk-wren/contract';
import { computed, ref, shallowRef } from 'vue';
import { useJob } from '../../stores/job';
import { useReadings } from '../use-readings';

type Sample = Extract<ReadingMessage, { kind: 'bench' }>;
/** Nearer than this to nothing, or to its supply, psi. */
const SPENT = 0.5;
/** Readings as far back as it takes to tell that it stands. */
const TO_TELL_IT_STANDS = 400;

/**
 * A valve on the bench: its gauges and travel as they are read, while signal and screws are set. So many readings are
 * kept, the latest ones.
 */
export function useStrokeBench(step: () => string, keeps = TO_TELL_IT_STANDS) {
  const samples = shallowRef<readonly Sample[]>([]);
  /** Settings sent on this reading: what was read before they arrived says nothing. */
  const sent = ref(0);
  const readings = useReadings(
    'gauge set',
    () => ({ step: step() }),
    (reading) => {
      if (reading.kind === 'bench') samples.value = [...samples.value.slice(-keeps), reading];
    },
  );
  const now = computed(() =>
    readings.running.value && !readings.isBlind.value ? samples.value.at(-1) : undefined,
  );
  const signal = ref(0);

  function start(): void {
    samples.value = [];
    [sent.value, signal.value] = [0, 0];
    readings.start();
  }
  function put(percent: number): void {
    signal.value = percent;
    sent.value++;
    readings.set({ kind: 'signal', percent });
  }
  /** Takes the signal up to its whole range and down again, evenly. */
  function sweep(seconds: number): void {
    sent.value++;
    readings.set({ kind: 'sweep', seconds });
  }
  function supply(psig: number): void {
    sent.value++;
    readings.set({ kind: 'supply', psig });
  }
  /** Read since the last setting arrived, and the last turn of a screw, by whomever. */
  const job = useJob();
  const turns = computed(() => job.state?.records['screw-turned'].length ?? 0);
  const isSince = ({ taken, turned }: Sample) => taken === sent.value && turned === turns.value;
  /** Travel since it was last disturbed, and when that was. */
  const settled = computed(() => {
    const since = samples.value.filter(isSince);
    return {
      moving: since.map(({ seconds, travelPercent }) => ({ seconds, value: travelPercent })),
      from: now.value && since[0]?.seconds,
    };
  });
  /** Where the travel stands, percent; undefined while it moves. */
  const stands = computed(() => {
    const { moving, from } = settled.value;
    return from === undefined ? undefined : standsAt(moving, from);
  });
  /** Its air is all out or all in: what holds it is a stop, and not its positioner. */
  const isSpent = computed(() => {
    const read = now.value;
    if (!read) return false;
    return read.drivenPsig <= SPENT || read.drivenPsig >= read.supplyPsig - SPENT;
  });
  /** How far it goes to and fro instead, percent. */
  const hunts = computed(() => {
    const { moving, from } = settled.value;
    return from === undefined ? undefined : huntsBy(moving, from);
  });
  /** Travel over time, and when the last setting arrived. */
  function sinceSet() {
    const all = samples.value;
    const first = all.findIndex(isSince);
    return {
      samples: all.map(({ seconds, travelPercent }) => ({ seconds, value: travelPercent })),
      // It arrived after the reading before the first that knows of it.
      at: all[first - 1]?.seconds ?? all[0]?.seconds ?? 0,
    };
  }
  const pick = (id: string | undefined) => (readings.picked.value = id);
  return {
    ...readings,
    pick,
    start,
    now,
    samples,
    signal,
    stands,
    isSpent,
    hunts,
    sinceSet,
    put,
    sweep,
    supply,
  };
}

export type StrokeBench = ReturnType<typeof useStrokeBench>;
