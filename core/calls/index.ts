export { callsOf, latestRunout, siteOf, stemRole, type StandingCall } from './calls';
export { readingsOf } from './measured';
