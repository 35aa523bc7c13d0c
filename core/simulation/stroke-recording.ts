import { chance } from './random';

/** A spring and diaphragm actuator on its valve, in pounds and inches; what a recorder on it would write. */
export interface StrokeRig {
  readonly areaIn2: number;
  /** Force of the spring at the seat, lbf, and its rate, lbf/in. */
  readonly preload: number;
  readonly rate: number;
  readonly travelIn: number;
  /** Sliding friction, lbf; `stiction` more to start from rest. */
  readonly friction: number;
  readonly stiction: number;
  /** Stiffness of plug on seat and of the upper stop, lbf/in. */
  readonly stopRate: number;
  /** Supply at full signal, psi. */
  readonly supply: number;
  /** Standard deviation of the gauges: psi and inches. */
  readonly pressureNoise: number;
  readonly travelNoise: number;
}

export const USUAL_RIG: StrokeRig = {
  areaIn2: 69,
  preload: 207,
  rate: 1104,
  travelIn: 0.75,
  friction: 45,
  stiction: 0,
  stopRate: 60_000,
  supply: 18,
  pressureNoise: 0.004,
  travelNoise: 0.0001,
};

export interface StrokeSamples {
  readonly seconds: Float64Array;
  readonly signalPercent: Float64Array;
  readonly pressurePsi: Float64Array;
  readonly travelIn: Float64Array;
}

/**
 * A slow stroke from no air to full supply and back, sampled evenly. The stem moves only as far as friction lets it:
 * it stands while the air force lies within the friction of the spring force (a play operator).
 */
export function recordStroke(rig: StrokeRig, samples: number, lasting: number, seed = 1): StrokeSamples {
  const dice = chance(seed);
  const [seconds, signalPercent, pressurePsi, travelIn] = [0, 1, 2, 3].map(
    () => new Float64Array(samples),
  ) as [Float64Array, Float64Array, Float64Array, Float64Array];
  let stem = stemAt(rig, rig.friction);
  for (let i = 0; i < samples; i++) {
    const share = i / (samples - 1);
    const signal = share < 0.5 ? 2 * share : 2 * (1 - share);
    const air = signal * rig.supply * rig.areaIn2;
    stem = moved(rig, stem, air);
    seconds[i] = share * lasting;
    signalPercent[i] = signal * 100;
    pressurePsi[i] = air / rig.areaIn2 + rig.pressureNoise * dice.normal();
    travelIn[i] = stem + rig.travelNoise * dice.normal();
  }
  return { seconds, signalPercent, pressurePsi, travelIn };
}

function moved(rig: StrokeRig, stem: number, air: number): number {
  const [least, most] = [stemAt(rig, air - rig.friction), stemAt(rig, air + rig.friction)];
  if (stem >= least && stem <= most) return stem;
  const [held, holding] = [
    stemAt(rig, air - rig.friction - rig.stiction),
    stemAt(rig, air + rig.friction + rig.stiction),
  ];
  if (stem >= held && stem <= holding) return stem;
  return stem < least ? least : most;
}

/** Where the spring alone balances a force. */
function stemAt({ preload, rate, travelIn, stopRate }: StrokeRig, force: number): number {
  const beyondSeat = force - preload;
  if (beyondSeat < 0) return beyondSeat / stopRate;
  const full = rate * travelIn;
  return beyondSeat <= full ? beyondSeat / rate : travelIn + (beyondSeat - full) / stopRate;
}

/** The samples as a recorder writes them: a header with units, one row a sample. */
export function strokeCsv(samples: StrokeSamples): string {
  const rows = Array.from(samples.seconds, (seconds, i) =>
    [
      seconds.toFixed(4),
      (samples.signalPercent[i] ?? 0).toFixed(3),
      (samples.pressurePsi[i] ?? 0).toFixed(4),
      (samples.travelIn[i] ?? 0).toFixed(5),
    ].join(','),
  );
  return `Time (s),Signal (%),Actuator pressure (psi),Travel (in)\n${rows.join('\n')}\n`;
}
