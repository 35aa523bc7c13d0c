/** What of the server a machine may be let to do; a token has one or more of these. */
export const MACHINE_SCOPES = [
  'orders',
  'certificates',
  'due',
  'events',
  'register',
  'store',
  'jobs',
] as const;
export type MachineScope = (typeof MACHINE_SCOPES)[number];

/** In words, as a lead chooses them. */
export const MACHINE_SCOPE_WORDS: Readonly<Record<MachineScope, string>> = {
  orders: 'hands work orders in, and asks what became of them',
  certificates: 'fetches papers of jobs',
  due: 'fetches which valves are due',
  events: 'fetches what happened',
  register: 'reads the register of valves',
  store: 'fetches parts, bins and kits',
  jobs: 'reads jobs and their logs',
};
