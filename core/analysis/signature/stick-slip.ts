import type { StrokeRecording } from './recording';

export interface StickSlip {
  /** Time of the jump, s, the travel it began at and how far it went. */
  readonly time: number;
  readonly from: number;
  readonly jump: number;
}

const STEPS = 4000;
/** A jump: faster than this many times the usual, and further than this share of the travel, out of a standstill. */
const JUMP_FASTER = 5;
const JUMP_SHARE = 0.004;
const STANDSTILL = 0.25;

/** Undefined where the command itself goes in steps: what jumps then was told to. */
export function stickSlips(
  { time, travel, signal }: StrokeRecording,
  low: number,
  high: number,
): StickSlip[] | undefined {
  if (signal && goesInSteps(signal)) return undefined;
  const stride = Math.max(1, Math.floor(travel.length / STEPS));
  const steps = Math.floor((travel.length - 1) / stride);
  const moved = Float64Array.from(
    { length: steps },
    (_, i) => (travel[(i + 1) * stride] ?? 0) - (travel[i * stride] ?? 0),
  );
  const step = (i: number) => Math.abs(moved[i] ?? 0);
  const isInside = (i: number) => {
    const share = ((travel[i * stride] ?? 0) - low) / (high - low);
    return share > 0.03 && share < 0.97;
  };
  const inside = Array.from({ length: steps }, (_, i) => i).filter(isInside);
  const usual = inside.reduce((sum, i) => sum + step(i), 0) / Math.max(1, inside.length);
  const events: StickSlip[] = [];
  for (let i = 3; i < steps; i++) {
    if (!isInside(i) || step(i) < JUMP_FASTER * usual) continue;
    if (![1, 2, 3].every((back) => step(i - back) < STANDSTILL * step(i))) continue;
    let to = i + 1;
    while (to < steps && step(to) > JUMP_FASTER * usual) to += 1;
    const from = travel[i * stride] ?? 0;
    const jump = (travel[to * stride] ?? 0) - from;
    if (Math.abs(jump) > JUMP_SHARE * (high - low)) events.push({ time: time[i * stride] ?? 0, from, jump });
    i = to;
  }
  return events;
}

/** A command in steps makes most of its way in few of its samples. */
const [STEPPED_WAY, STEPPED_SAMPLES] = [0.8, 0.05];

function goesInSteps(signal: Float64Array): boolean {
  const stride = Math.max(1, Math.floor(signal.length / STEPS));
  const moves = Float64Array.from({ length: Math.floor((signal.length - 1) / stride) }, (_, i) =>
    Math.abs((signal[(i + 1) * stride] ?? 0) - (signal[i * stride] ?? 0)),
  ).sort();
  const way = moves.reduce((sum, move) => sum + move, 0);
  const largest = moves.subarray(Math.floor(moves.length * (1 - STEPPED_SAMPLES)));
  return way > 0 && largest.reduce((sum, move) => sum + move, 0) > STEPPED_WAY * way;
}
