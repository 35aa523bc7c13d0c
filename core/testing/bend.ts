/** Twelve dial readings of a stem bent by this much, high spot at 4 o'clock. */
export function bendReadings(bowThou: number): string[] {
  return Array.from(
    { length: 12 },
    (_, i) => `${(bowThou * Math.cos((2 * Math.PI * (i - 4)) / 12)).toFixed(3)} thou`,
  );
}
