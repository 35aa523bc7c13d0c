import { moverOf, type Features } from '../../valve';

/**
 * What the air works against, in psi across the power element: nothing up to `start`, then `span` more to the end of its
 * stroke. A spring always; on a cylinder with air on both sides the process alone, and only while there is any.
 */
export interface Element {
  readonly supplyWanted: number;
  readonly start: number;
  readonly span: number;
  /** Air on both sides of a piston, and no spring. */
  readonly bothSides: boolean;
}

/** 3–15 psi on 20 (common practice). */
const DIAPHRAGM: Element = { supplyWanted: 20, start: 3, span: 12, bothSides: false };
const SPRUNG_CYLINDER: Element = { supplyWanted: 70, start: 15, span: 35, bothSides: false };
const CYLINDER: Element = { supplyWanted: 70, start: 0, span: 45, bothSides: true };

export function elementOf(features: Features): Element {
  const { element, bothSides } = moverOf(features);
  if (element !== 'cylinder') return DIAPHRAGM;
  return bothSides ? CYLINDER : SPRUNG_CYLINDER;
}

/** Pressures on springs and friction grow with the supply they are made for. */
export const scaleOf = ({ supplyWanted }: Element): number => supplyWanted / DIAPHRAGM.supplyWanted;

/** The air that drives it home with something in hand; on two sides, most of its supply. */
export const driveWantedOf = ({ bothSides, supplyWanted, start, span }: Element): number =>
  bothSides ? 0.75 * supplyWanted : 0.87 * (start + span);
