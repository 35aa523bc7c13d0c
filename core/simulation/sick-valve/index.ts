export { sickValve } from './gauges';
export { PLANTED_FAULTS, symptomWith, type PlantedFault } from './planted-fault';
