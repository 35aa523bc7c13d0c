import { device } from './device';

/** Where exercises wait on this device that were done and are not sent yet. */
export const WAITING_DRILLS = 'waiting/drills';

export const hasWaitingDrills = (): boolean => device.small(WAITING_DRILLS) !== undefined;
