import type { InstrumentView } from '@dusk-wren/contract';
import { readLine, type Quantity } from '@dusk-wren/core/quantity';
import { defineStore } from 'pinia';
import { onBeforeUnmount, onMounted, ref, shallowRef } from 'vue';
import { usePreferences } from './preferences';

/** A reading that a gauge typed or sent, and which gauge that was. */
export interface LineReading {
  readonly value: Quantity;
  readonly instrument: InstrumentView;
}
/** Takes a reading where it has a place for it, and says where that was; nothing where it has none. */
export type Landing = (reading: LineReading) => string | undefined;

/**
 * Gauges that type their readings as a keyboard does, or send them over a serial line. A reading lands in the step in hand,
 * wherever the focus is; which gauge it is of, the shape of its line says.
 */
export const useGaugeLines = defineStore('gauge lines', () => {
  /** The instruments of the job that is open; none where none is. */
  const instruments = shallowRef<readonly InstrumentView[]>([]);
  const { show } = usePreferences();
  const landings = shallowRef<readonly Landing[]>([]);
  /** What became of the last line, in words. */
  const said = ref('');

  const reads = (line: string): LineReading[] =>
    instruments.value.flatMap((instrument) => {
      const value = instrument.lines && readLine(instrument.lines, line);
      return value ? [{ value, instrument }] : [];
    });
  /** Whether any gauge here types at all: nobody else’s typing is looked at. */
  const isAwaited = () => instruments.value.some(({ lines }) => lines !== undefined);

  const isReading = (line: string): boolean => reads(line).length > 0;

  /** Whether a line was of a gauge of this shop; it has landed then, or it is said why not. */
  function hear(line: string): boolean {
    const found = reads(line);
    const [first] = found;
    if (!first) return false;
    // Two calipers of one make write alike: one that is good goes first.
    const good = found.toSorted(
      (a, b) => Number(b.instrument.inCalibration) - Number(a.instrument.inCalibration),
    );
    for (const reading of good)
      for (const land of [...landings.value].reverse()) {
        const where = land(reading);
        if (where === undefined) continue;
        said.value = `${reading.instrument.name}: ${show(reading.value)}, ${where}.`;
        return true;
      }
    said.value = `${first.instrument.name} sent ${show(first.value)}: nothing in hand asks for that.`;
    return true;
  }
  /** A line that came where only gauges send: one of no known gauge is said too. */
  function sent(line: string): void {
    if (line.trim() !== '' && !hear(line))
      said.value = `A gauge sent “${line.trim().slice(0, 40)}”, which is like no gauge of this shop: teach it on Setup.`;
  }
  function add(landing: Landing): () => void {
    landings.value = [...landings.value, landing];
    return () => (landings.value = landings.value.filter((each) => each !== landing));
  }
  return { said, instruments, isAwaited, isReading, hear, sent, add };
});

/** What takes readings while this is on the screen; the newest goes first. */
export function useLanding(landing: Landing): void {
  const lines = useGaugeLines();
  let remove: (() => void) | undefined;
  onMounted(() => (remove = lines.add(landing)));
  onBeforeUnmount(() => remove?.());
}
