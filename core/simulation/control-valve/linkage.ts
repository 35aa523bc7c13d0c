/** How the travel of an actuator is the travel of its valve. Shares of a whole stroke, both. */
export type Linkage = 'straight' | 'vane' | 'lever';

/** A lever swings this far to each side of its right angle. */
const SWING = Math.PI / 4;

/** Where the valve stands when its actuator stands at a share of its stroke: a rod turns a lever least at the right angle. */
export function throughLinkage(linkage: Linkage, share: number): number {
  if (linkage !== 'lever') return share;
  const across = Math.max(-1, Math.min(1, (2 * share - 1) * Math.sin(SWING)));
  return (Math.asin(across) + SWING) / (2 * SWING);
}
