/** What a job is for. The plan is cut to it; what is only a unit from the shelf says so by itself. */
export const SCOPES = [
  'overhaul',
  'repack',
  'trim',
  'actuator',
  'positioner',
  'set-up',
  'reversal',
  'check',
  'quote',
] as const;
export type Scope = (typeof SCOPES)[number];

export const SCOPE_WORDS: Readonly<Record<Scope, string>> = {
  overhaul: 'overhaul',
  repack: 'repack',
  trim: 'trim only',
  actuator: 'actuator only',
  positioner: 'positioner or relay only',
  'set-up': 'set up only',
  reversal: 'reverse the fail action',
  check: 'seat and function check',
  quote: 'receive and quote',
};
