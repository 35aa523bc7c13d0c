export type { StrokeRecording } from './recording';
export { analyseSignature, type NoSignature, type Signature } from './signature';
export type { StickSlip } from './stick-slip';
