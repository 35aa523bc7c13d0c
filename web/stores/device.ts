import { KeptJobs } from '../sync/kept-jobs';

/** What this device keeps: one store for every page. */
export const device = new KeptJobs();
