export { median, sensLine, type Point, type SensLine } from './sens-line';
export { survivalOf, type Ages, type SurvivalStep } from './survival';
export { weibullOf, type Weibull } from './weibull';
export { poissonQuantile } from './poisson';
