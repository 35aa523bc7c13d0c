import { endsOf, type StrokeRecording } from './recording';

/** From and up to, not including, an index. */
export type Range = readonly [from: number, to: number];

/** The strokes of a recording by which way the travel goes; several of each where it goes there and back again. */
export interface Strokes {
  readonly rising: readonly Range[];
  readonly falling: readonly Range[];
}

/** A stroke covers at least this share of the range. */
const LEAST_STROKE = 0.3;
const BLOCKS = 4000;

/** Split where the signal turns (the pressure without one); undefined when it goes one way only. */
export function strokesOf({ signal, pressure, travel }: StrokeRecording): Strokes | undefined {
  const drive = signal ?? pressure;
  const turns = turnsOf(drive);
  const edges = [0, ...turns, drive.length];
  const [low, high] = endsOf(travel);
  const [rising, falling]: [Range[], Range[]] = [[], []];
  edges.slice(1).forEach((to, i) => {
    const from = edges[i] ?? 0;
    const moved = (travel[to - 1] ?? 0) - (travel[from] ?? 0);
    if (Math.abs(moved) < LEAST_STROKE * (high - low)) return;
    (moved > 0 ? rising : falling).push([from, to]);
  });
  return rising.length > 0 && falling.length > 0 ? { rising, falling } : undefined;
}

/** Indices at which the values turn back by more than a stroke (a zigzag over means of blocks). */
function turnsOf(values: Float64Array): number[] {
  const size = Math.max(1, Math.floor(values.length / BLOCKS));
  const blocks = Float64Array.from({ length: Math.ceil(values.length / size) }, (_, block) => {
    const part = values.subarray(block * size, (block + 1) * size);
    return part.reduce((sum, value) => sum + value, 0) / part.length;
  });
  const [low, high] = endsOf(blocks);
  const least = LEAST_STROKE * (high - low);
  const turns: number[] = [];
  let [most, fewest, way] = [0, 0, 0];
  for (let i = 1; i < blocks.length; i++) {
    const value = blocks[i] ?? 0;
    if (value > (blocks[most] ?? 0)) most = i;
    if (value < (blocks[fewest] ?? 0)) fewest = i;
    if (way >= 0 && (blocks[most] ?? 0) - value > least) {
      if (most > 0) turns.push(most);
      [way, fewest, most] = [-1, i, i];
    } else if (way <= 0 && value - (blocks[fewest] ?? 0) > least) {
      if (fewest > 0) turns.push(fewest);
      [way, most, fewest] = [1, i, i];
    }
  }
  return turns.map((block) => Math.min(values.length - 1, Math.floor((block + 0.5) * size)));
}
