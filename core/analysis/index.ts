export { fitRunout, LEAST_READINGS, type RunoutFit } from './runout-fit';
export { readBluedRing, type BlueArc, type BluedRing, type BlueGap } from './blued-ring';
