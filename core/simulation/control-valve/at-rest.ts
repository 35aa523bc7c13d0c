import { travelAsked, WELL_SET, type PositionerSet } from './positioner';

/** Screws of a positioner that a drill has turned. */
export const POSITIONER_SCREWS = ['zero', 'span', 'nozzle'] as const;
export type PositionerScrew = (typeof POSITIONER_SCREWS)[number];

/** What is turned, and by how much each has been, clockwise positive. */
export type Turned = Readonly<Record<PositionerScrew, number>>;

/** What a positioner shows at rest, with no friction in its valve. Shares of signal, travel and supply. */
export interface AtRest {
  /** Where the valve stands at each signal. */
  readonly travel: readonly { readonly signal: number; readonly stands: number; readonly asked: number }[];
  /** What stands on each side of a cylinder at half signal. */
  readonly balance: number;
}

const SIGNALS = [0, 0.25, 0.5, 0.75, 1];
const within = (share: number) => Math.max(0, Math.min(1, share));

/** The positioner as its screws stand now, `per` turn of each; stops hold the valve at both ends. */
export function atRest(off: Turned, turned: Turned, per: Turned): AtRest {
  const by = (screw: PositionerScrew) => per[screw] * (off[screw] + turned[screw]);
  const set: PositionerSet = {
    ...WELL_SET,
    zero: by('zero'),
    span: 1 + by('span'),
    balance: WELL_SET.balance + by('nozzle'),
  };
  return {
    travel: SIGNALS.map((signal) => {
      const asked = travelAsked(set, signal);
      return { signal, asked, stands: within(asked) };
    }),
    balance: set.balance,
  };
}
