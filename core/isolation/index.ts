export { energiesOf, ENERGIES, TOUCHABLE, type Energy, type EnergyKind, type Proof } from './energies';
export { feedsOf } from './feeds';
export {
  checkLine,
  lineSchema,
  SHUT_BY,
  SHUT_BY_WORDS,
  SIDES,
  usualLine,
  type Line,
  type ShutBy,
  type Side,
} from './line';
export { pointsOf, type IsolationPoint } from './points';
export { STEADY_FOR, steadiness, type Steadiness, type Watched } from './steady';
export { springEnergy, storedIn, type Stored } from './stored';
