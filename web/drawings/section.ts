import type { PartRole } from '@dusk-wren/core/valve';

/** How a cut face is filled, as drawings have it: mating parts slope the other way, packing is crossed. */
export type Fill = 'hatch' | 'hatch-back' | 'cross' | 'solid' | 'outline' | 'none';

export interface Shape {
  readonly role: PartRole;
  readonly d: string;
  readonly fill: Fill;
}

export interface Balloon {
  readonly role: PartRole;
  /** Where the leader touches the part. */
  readonly at: readonly [number, number];
  readonly side: 'left' | 'right';
}

/** A sectional drawing: shapes from back to front, thin lines, and where each part's balloon points. */
export interface Section {
  readonly width: number;
  readonly height: number;
  readonly shapes: readonly Shape[];
  readonly threads: string;
  readonly centreLines: string;
  readonly flow: string;
  readonly balloons: readonly Balloon[];
}
