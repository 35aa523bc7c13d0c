export { fitEqualReadings, fitRunout, LEAST_FOR_VERDICT, LEAST_READINGS, type RunoutFit } from './runout-fit';
export { linearFit } from './linear-fit';
export { readBluedRing, type BlueArc, type BluedRing, type BlueGap } from './blued-ring';
export { leastDeviation, leastSquares, throughEnds, type Line } from './straight-line';
export {
  gasFlow,
  liquidFlow,
  type GasService,
  type GasState,
  type LiquidService,
  type LiquidState,
} from './valve-flow';
export * from './recording';
export {
  analyseSignature,
  type NoSignature,
  type Signature,
  type StickSlip,
  type StrokeRecording,
} from './signature';
export * from './bluing';
export { ringPoint, ringSpan, ringStretch } from './ring-path';
export { findPops, type Pop } from './pops';
export { sweptEnds, type SweptEnds } from './swept-ends';
export { strokeLoop, strokePoints, type StrokePoint } from './stroke-points';
export { stepResponse, type StepResponse } from './step-response';
export { huntsBy, standsAt, type Moving } from './standing';
export { thinned } from './thinned';
export { heldOn, NOT_HELD, type Hold } from './hold';
export { recordedHold, type RecordedHold } from './recorded-hold';
export { niceTop, plotPath, type PlotBox } from './plot';
export * from './life';
