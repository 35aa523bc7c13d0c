/** A control valve passing liquid; pressures in Pa absolute. */
export interface LiquidService {
  readonly inlet: number;
  readonly outlet: number;
  /** Density over that of water. */
  readonly relativeDensity: number;
  readonly vapour: number;
  readonly critical: number;
  /** Liquid pressure recovery factor FL. */
  readonly recovery: number;
}

export interface LiquidState {
  /** Critical pressure ratio factor FF. */
  readonly ratioFactor: number;
  readonly chokedDifference: number;
  readonly sizingDifference: number;
  readonly choked: boolean;
  /** m³/h through Kv 1. */
  readonly flowPerKv: number;
}

/**
 * Incompressible flow of IEC 60534-2-1 without fittings: `Q = Kv·√(Δp_sizing/(ρ/ρ0))`, bar and m³/h;
 * `Δp_choked = FL²·(p1 − FF·pv)`, `FF = 0.96 − 0.28·√(pv/pc)`.
 */
export function liquidFlow(service: LiquidService): LiquidState {
  const { inlet, outlet, vapour, critical, recovery, relativeDensity } = service;
  const ratioFactor = 0.96 - 0.28 * Math.sqrt(vapour / critical);
  const chokedDifference = recovery ** 2 * (inlet - ratioFactor * vapour);
  const sizingDifference = Math.min(inlet - outlet, chokedDifference);
  return {
    ratioFactor,
    chokedDifference,
    sizingDifference,
    choked: inlet - outlet >= chokedDifference,
    flowPerKv: Math.sqrt(sizingDifference / 1e5 / relativeDensity),
  };
}

/** A control valve passing gas; pressures in Pa absolute, temperature in K. */
export interface GasService {
  readonly inlet: number;
  readonly outlet: number;
  readonly kelvin: number;
  /** kg/kmol. */
  readonly molarMass: number;
  readonly heatRatio: number;
  /** Pressure difference ratio factor xT. */
  readonly pressureRatio: number;
  readonly compressibility: number;
}

export interface GasState {
  /** Pressure ratio x = Δp/p1, and where it chokes. */
  readonly ratio: number;
  readonly chokedRatio: number;
  readonly expansion: number;
  readonly choked: boolean;
  /** m³/h at 0 °C and 101.325 kPa through Kv 1. */
  readonly normalFlowPerKv: number;
}

const GAS_CONSTANT = 8314.462618;
const [NORMAL_PASCALS, NORMAL_KELVIN] = [101_325, 273.15];

/**
 * Compressible flow of IEC 60534-2-1 without fittings: `W = N6·Kv·Y·√(x·p1·ρ1)`, `Y = 1 − x/(3·x_choked)` down to
 * 2/3, `x_choked = (γ/1.4)·xT`. N6 and N9 are taken from their definitions, so they carry no rounding.
 */
export function gasFlow(service: GasService): GasState {
  const { inlet, outlet, kelvin, molarMass, heatRatio, pressureRatio, compressibility } = service;
  const ratio = (inlet - outlet) / inlet;
  const chokedRatio = (heatRatio / 1.4) * pressureRatio;
  const sizing = Math.min(ratio, chokedRatio);
  const expansion = 1 - sizing / (3 * chokedRatio);
  const density = (inlet * molarMass) / (compressibility * GAS_CONSTANT * kelvin);
  const normalDensity = (NORMAL_PASCALS * molarMass) / (GAS_CONSTANT * NORMAL_KELVIN);
  const kilogramsPerHour = expansion * Math.sqrt(1000 * sizing * (inlet / 1e5) * density);
  return {
    ratio,
    chokedRatio,
    expansion,
    choked: ratio >= chokedRatio,
    normalFlowPerKv: kilogramsPerHour / normalDensity,
  };
}
