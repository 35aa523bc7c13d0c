import { standsAt } from '@dusk-wren/core/analysis';
import type { Screw } from '@dusk-wren/core/job';
import type { ReadingMessage } from '@dusk-wren/contract';
import { computed, ref, shallowRef } from 'vue';
import { useReadings } from '../use-readings';

type Sample = Extract<ReadingMessage, { kind: 'bench' }>;
/** Screws that a valve on the bench has: what its simulation is told of. */
const TURNED = ['zero screw', 'span screw', 'relay nozzle', 'spring adjuster'] as const;
const isTurned = (screw: Screw): screw is (typeof TURNED)[number] => TURNED.some((each) => each === screw);
/** As far back as it takes to tell that it stands. */
const LOOKED_BACK = 400;

/** A valve on the bench: its gauges and travel as they are read, while signal and screws are set. */
export function useStrokeBench(step: () => string) {
  const samples = shallowRef<readonly Sample[]>([]);
  /** Settings sent on this reading: what was read before they arrived says nothing. */
  const sent = ref(0);
  const readings = useReadings(
    'gauge set',
    () => ({ step: step() }),
    (reading) => {
      if (reading.kind === 'bench') samples.value = [...samples.value.slice(-LOOKED_BACK), reading];
    },
  );
  const now = computed(() => (readings.running.value ? samples.value.at(-1) : undefined));
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
  /** Tells the instrument of a turn: a simulated screw has to be told, at a real one nobody listens. */
  function turned(screw: Screw, turns: number): void {
    if (!now.value || !isTurned(screw)) return;
    sent.value++;
    readings.set({ kind: 'turn', screw, turns });
  }
  /** Where the travel stands, percent; undefined while it moves. */
  const stands = computed(() => {
    const settled = samples.value.filter(({ taken }) => taken === sent.value);
    const since = settled[0]?.seconds;
    return now.value && since !== undefined
      ? standsAt(
          settled.map(({ seconds, travelPercent }) => ({ seconds, value: travelPercent })),
          since,
        )
      : undefined;
  });
  /** Travel over time, and when the last setting arrived. */
  function sinceSet() {
    const all = samples.value;
    const first = all.findIndex(({ taken }) => taken === sent.value);
    return {
      samples: all.map(({ seconds, travelPercent }) => ({ seconds, value: travelPercent })),
      // It arrived after the reading before the first that knows of it.
      at: all[first - 1]?.seconds ?? all[0]?.seconds ?? 0,
    };
  }
  const pick = (id: string | undefined) => (readings.picked.value = id);
  return { ...readings, pick, start, now, samples, signal, stands, sinceSet, put, sweep, turned };
}

export type StrokeBench = ReturnType<typeof useStrokeBench>;
