import type { PartRole } from '../parts/catalogue';

/** What joins an actuator stem to the valve stem. */
export const coupled = (coupling: 'screwed' | 'split'): readonly PartRole[] =>
  coupling === 'split'
    ? ['split coupler', 'coupler nut', 'travel indicator']
    : ['stem connector', 'stem lock nuts', 'travel indicator'];
