import type { PartRole } from '@dusk-wren/core/valve';

export type Point = readonly [number, number];

/** How a cut face is filled, as drawings have it: mating parts slope the other way, packing is crossed, seals are dark. */
export type Fill = 'hatch' | 'hatch-back' | 'cross' | 'solid' | 'outline';

export interface Shape {
  readonly role: PartRole;
  readonly d: string;
  readonly fill: Fill;
}

/** Which way a part goes when the valve is drawn apart. */
export type Away = 'up' | 'down' | 'left' | 'right';

/** A piece of a drawing: shapes from back to front, thin lines, and what cannot be told from the shapes. */
export interface Piece {
  readonly shapes: readonly Shape[];
  /** Thin lines: threads, coils, oil levels. */
  readonly thin?: string;
  readonly flow?: string;
  /** Where a leader touches, for parts whose middle is not on them. */
  readonly touch?: Partial<Record<PartRole, readonly [number, number]>>;
  readonly away?: Partial<Record<PartRole, Away>>;
}

/** A part that wants a number, and the places where its leader may touch it. */
export interface Anchor {
  readonly role: PartRole;
  readonly places: readonly [Point, ...Point[]];
}

/** A sectional drawing, ready to be put on the page. */
export interface Section {
  readonly width: number;
  readonly height: number;
  readonly shapes: readonly Shape[];
  readonly thin: string;
  readonly centreLines: string;
  readonly flow: string;
  /** One for each part of the list. */
  readonly anchors: readonly Anchor[];
  readonly away: Partial<Record<PartRole, Away>>;
}
