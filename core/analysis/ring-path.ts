/** A point of a ring, degrees clockwise from 12 o'clock. */
export function ringPoint(centre: number, degrees: number, radius: number): string {
  const angle = ((degrees - 90) * Math.PI) / 180;
  return `${(centre + radius * Math.cos(angle)).toFixed(2)} ${(centre + radius * Math.sin(angle)).toFixed(2)}`;
}

/** Degrees from one place of a ring on to another, clockwise; a whole turn stays just short of its start. */
export const ringSpan = (from: number, to: number): number =>
  to - from >= 360 ? 359.99 : (((to - from) % 360) + 360) % 360;

/** The path of a stretch of a ring. */
export function ringStretch(centre: number, radius: number, from: number, to: number): string {
  const length = ringSpan(from, to);
  return `M${ringPoint(centre, from, radius)}A${radius} ${radius} 0 ${length > 180 ? 1 : 0} 1 ${ringPoint(centre, from + length, radius)}`;
}
