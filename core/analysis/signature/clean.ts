import { endsOf, type StrokeRecording } from './recording';

/** A recording with its rows in order of time and its spikes put right, and what was done to it. */
export interface CleanRecording {
  readonly recording: StrokeRecording;
  readonly spikes: number;
  /** Rows that stood before an earlier one. */
  readonly outOfOrder: number;
  /** The clock began again, as where two files were put together. */
  readonly clockRestarts: number;
}

/** So few runs of rising time are a clock that began again; more are rows out of order. */
const MOST_RESTARTS = 3;

export function cleaned(raw: StrokeRecording): CleanRecording {
  const back = goesBack(raw.time);
  const isShuffled = back > MOST_RESTARTS;
  const inOrder = isShuffled ? sortedByTime(raw) : raw;
  const [pressure, travel, signal] = [inOrder.pressure, inOrder.travel, inOrder.signal].map(
    (values) => values && withoutSpikes(values),
  );
  return {
    recording: {
      time: inOrder.time,
      pressure: pressure?.values ?? inOrder.pressure,
      travel: travel?.values ?? inOrder.travel,
      ...(signal ? { signal: signal.values } : {}),
    },
    spikes: (pressure?.spikes ?? 0) + (travel?.spikes ?? 0) + (signal?.spikes ?? 0),
    outOfOrder: isShuffled ? back : 0,
    clockRestarts: isShuffled ? 0 : back,
  };
}

function goesBack(time: Float64Array): number {
  let back = 0;
  for (let i = 1; i < time.length; i++) if ((time[i] ?? 0) < (time[i - 1] ?? 0)) back += 1;
  return back;
}

function sortedByTime({ time, signal, pressure, travel }: StrokeRecording): StrokeRecording {
  const order = Uint32Array.from({ length: time.length }, (_, i) => i).sort(
    (a, b) => (time[a] ?? 0) - (time[b] ?? 0),
  );
  const inOrder = (values: Float64Array) => Float64Array.from(order, (i) => values[i] ?? 0);
  return {
    time: inOrder(time),
    pressure: inOrder(pressure),
    travel: inOrder(travel),
    ...(signal ? { signal: inOrder(signal) } : {}),
  };
}

/** Further than this share of its range from its neighbours, a sample is a spike. */
const SPIKE = 0.1;

/** Samples far from the middle one of themselves and two to each side become that (Hampel). */
function withoutSpikes(values: Float64Array): { values: Float64Array; spikes: number } {
  const [low, high] = endsOf(values);
  const far = SPIKE * (high - low);
  if (!(far > 0)) return { values, spikes: 0 };
  let clean = values;
  let spikes = 0;
  const window = new Float64Array(5);
  for (let i = 0; i < values.length; i++) {
    const here = values[i] ?? 0;
    const [before, after] = [values[i - 1] ?? values[i + 1] ?? here, values[i + 1] ?? values[i - 1] ?? here];
    if (Math.abs(here - before) < far && Math.abs(here - after) < far) continue;
    const first = Math.min(Math.max(0, i - 2), Math.max(0, values.length - 5));
    for (let k = 0; k < 5; k++) window[k] = values[first + k] ?? here;
    const middle = window.sort()[2] ?? here;
    if (Math.abs(here - middle) <= far) continue;
    if (clean === values) clean = Float64Array.from(values);
    clean[i] = middle;
    spikes += 1;
  }
  return { values: clean, spikes };
}
