/** A stroke there and back: one array a quantity, in SI units, signal as a share of its range (0 to 1). */
export interface StrokeRecording {
  readonly time: Float64Array;
  readonly signal?: Float64Array;
  /** Net actuator pressure, Pa. */
  readonly pressure: Float64Array;
  /** Travel, m, or as a share when the recording has no length. */
  readonly travel: Float64Array;
}

/** Both ends of what was recorded, a few samples in, so that one spike is not an end. */
export function endsOf(values: ArrayLike<number>): [number, number] {
  const stride = Math.max(1, Math.floor(values.length / 1200));
  const some = Float64Array.from(
    { length: Math.floor(values.length / stride) },
    (_, i) => values[i * stride] ?? 0,
  ).sort();
  const off = Math.floor(some.length / 400);
  return [some[off] ?? 0, some[some.length - 1 - off] ?? 0];
}
